'use client';

import type { Remote } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { AskWorker } from '@/workers/ask.worker';
import { WorkerLine } from '../open/workerLine';

/** The first question takes a few seconds on a slow computer. */
const SILENCE_MS = 60_000;

/**
 * What a worker says to a question; worked out in the page where there is none.
 * @param question asked anew whenever it is another; undefined asks nothing
 * @param here the same answer, in the page. Like `call` it must not change.
 * @returns the newest answer, and whether it is the one to this question
 */
export function useAsker<Q, T>(
  question: Q | undefined,
  call: (asker: Remote<AskWorker>, question: Q) => Promise<T>,
  here: (question: Q) => T,
): { answer: T | undefined; fresh: boolean } {
  const line = useRef<WorkerLine<AskWorker>>(undefined);
  const [known, setKnown] = useState<{ to: Q; answer: T }>();
  useEffect(() => () => line.current?.close(), []);
  useEffect(() => {
    if (question === undefined) return;
    const tell = (answer: T) => setKnown({ to: question, answer });
    line.current ??= new WorkerLine<AskWorker>(
      () => new Worker(new URL('../../workers/ask.worker.ts', import.meta.url), { type: 'module' }),
      SILENCE_MS,
    );
    return line.current.ask(
      (asker) => call(asker, question),
      tell,
      () => tell(here(question)),
    );
  }, [question, call, here]);
  return { answer: known?.answer, fresh: question !== undefined && known?.to === question };
}
