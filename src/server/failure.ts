import type { Problem } from '../core/setup';

/** A request that cannot be done, with the status it earns and every reason. */
export class Failure extends Error {
  constructor(
    readonly status: 400 | 403 | 404 | 409 | 413 | 415 | 422 | 428 | 503 | 507,
    readonly problems: Problem[],
    readonly head?: number,
    /** What of the Setup changed since an answer was given, where that is why it is refused. */
    readonly changed?: readonly string[],
  ) {
    super(problems.map((p) => p.reason).join('; '));
  }
}

export const notFound = (what: string) =>
  new Failure(404, [{ path: '', reason: `${what} does not exist (any more)` }]);

/** An answer that speaks of an earlier version, of which something it depends on has changed since. */
export const changedSince = (version: number, head: number, changed: readonly string[]) =>
  new Failure(
    409,
    [
      {
        path: '/version',
        reason: `this was seen on version ${version}; since then ${changed.join(', ')} changed`,
      },
    ],
    head,
    changed,
  );

/** Turns what storage throws into something a person can act on; unknown errors pass. */
export function asFailure(error: unknown): unknown {
  const { code, head, message } = (error ?? {}) as Partial<Error> & {
    code?: string;
    head?: number;
  };
  if (code === 'OUTDATED')
    return new Failure(
      409,
      [{ path: '', reason: 'someone else, or another tab of yours, saved this model meanwhile' }],
      head,
    );
  if (code === 'SQLITE_FULL')
    return new Failure(507, [{ path: '', reason: 'the disk is full: nothing was saved' }]);
  if (code === 'UNUSABLE') return new Failure(503, [{ path: '', reason: message ?? '' }]);
  if (code?.startsWith('SQLITE_BUSY'))
    return new Failure(503, [
      { path: '', reason: 'another program holds the database: nothing was saved, try again' },
    ]);
  if (code?.startsWith('SQLITE_CORRUPT') || code === 'SQLITE_NOTADB')
    return new Failure(503, [
      { path: '', reason: 'the database file is damaged: replace it with a copy' },
    ]);
  return error;
}
