import type { Problem } from '@/core/setup';

export type Reply<T> =
  | { ok: true; value: T }
  | {
      ok: false;
      /** 0 where the server did not answer. */
      status: number;
      problems: Problem[];
      head?: number;
      /** What of the Setup changed since an answer was given, where that is why it is refused. */
      changed?: string[];
    };

export type Send = <T>(method: string, path: string, body: unknown) => Promise<Reply<T>>;

/** Whether trying the same again may help: no answer, or none because the server was busy or broken. */
export const isTransient = (status: number): boolean => status === 0 || status >= 500;

export const reasonsOf = (problems: readonly Problem[]): string =>
  problems.map((p) => p.reason).join('; ');

/** Browsers carry a request to its end after the page is left only up to this size, in bytes. */
const CARRIED_ON = 60_000;

/**
 * Talks to the server; a broken connection is a reply like any other, so that text is never lost.
 * @param signal ends the request when it is aborted, and when the page is left
 */
export async function send<T>(
  method: string,
  path: string,
  body: unknown,
  { signal }: { signal?: AbortSignal } = {},
): Promise<Reply<T>> {
  const content =
    body === undefined || typeof body === 'string' || body instanceof Blob
      ? body
      : JSON.stringify(body);
  try {
    const response = await fetch(path, {
      method,
      // A save goes on although the page is left or closed in the middle of it.
      keepalive: !signal && typeof content === 'string' && content.length < CARRIED_ON,
      ...(signal ? { signal } : {}),
      headers: {
        'content-type': body instanceof Blob ? 'application/octet-stream' : 'application/json',
      },
      ...(content === undefined ? {} : { body: content }),
    });
    const data = (await response.json()) as T & {
      problems?: Problem[];
      head?: number;
      changed?: string[];
    };
    if (response.ok) return { ok: true, value: data };
    return {
      ok: false,
      status: response.status,
      problems: data.problems ?? [{ path: '', reason: response.statusText }],
      ...(data.head === undefined ? {} : { head: data.head }),
      ...(data.changed === undefined ? {} : { changed: data.changed }),
    };
  } catch {
    return {
      ok: false,
      status: 0,
      problems: [{ path: '', reason: 'the server does not answer' }],
    };
  }
}
