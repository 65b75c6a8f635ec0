import type { Remote } from 'comlink';
import { useEffect, useState } from 'react';
import type { WorkerLine } from './workerLine';

/** What was asked of a worker: its answer, or in words why there is none. */
export type Asked<T> = { answer: T } | { failed: string };

/** What was asked of a worker that says how far it is: what it has so far, and whether that is all. */
export interface Progress<T> {
  so: T | undefined;
  failed: string | undefined;
  done: boolean;
}

/** @param so called with what there is so far, as often as there is more */
type AskFor<R, T> = (remote: Remote<R>, so: (known: T) => void, heard: () => void) => Promise<T>;

/**
 * Asks a worker of its own something that takes a while, and shows what it has so far; another question, or leaving,
 * ends it.
 * @param ask stable between renders; undefined where there is nothing to ask
 * @returns undefined where nothing was asked, or nothing was heard yet
 */
export function useProgress<R extends object, T>(
  make: () => WorkerLine<R>,
  ask: AskFor<R, T> | undefined,
): Progress<T> | undefined {
  const [known, setKnown] = useState<{ of: unknown; is: Progress<T> }>();
  useEffect(() => {
    if (!ask) return undefined;
    const line = make();
    const tell = (is: Progress<T>) => setKnown({ of: ask, is });
    const cancel = line.ask(
      (remote, heard) =>
        ask(
          remote,
          (so) => {
            heard();
            tell({ so, failed: undefined, done: false });
          },
          heard,
        ),
      (so) => tell({ so, failed: undefined, done: true }),
      (failed) => tell({ so: undefined, failed, done: true }),
    );
    return () => {
      cancel();
      line.close();
    };
  }, [make, ask]);
  return known?.of === ask ? known?.is : undefined;
}

/** The same for one answer: undefined while it is worked out. */
export function useLine<R extends object, T>(
  make: () => WorkerLine<R>,
  ask: AskFor<R, T> | undefined,
): Asked<T> | undefined {
  const found = useProgress(make, ask);
  if (!found?.done) return undefined;
  return found.failed === undefined ? { answer: found.so as T } : { failed: found.failed };
}
