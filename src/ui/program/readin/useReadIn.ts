'use client';

import { useEffect, useRef, useState } from 'react';
import type { Reading } from '@/core/infer';
import type { Transmitter } from '@/core/setup';
import { readIn, type ReadInState } from '@/workers/readin';
import type { ReadInWorker } from '@/workers/readin.worker';
import { WorkerLine } from '../../open/workerLine';

/** A question takes up to a second. */
const SILENCE_MS = 20_000;

/**
 * The next row to read, and what is found at the end, worked out in a worker; in the page where there is none.
 * @returns undefined while it is worked out
 */
export function useReadIn(
  transmitter: Transmitter,
  readings: readonly Reading[],
  enough: boolean,
): ReadInState | undefined {
  const line = useRef<WorkerLine<ReadInWorker>>(undefined);
  const [known, setKnown] = useState<{
    of: readonly Reading[];
    enough: boolean;
    state: ReadInState;
  }>();
  useEffect(() => () => line.current?.close(), []);
  useEffect(() => {
    const tell = (state: ReadInState) => setKnown({ of: readings, enough, state });
    line.current ??= new WorkerLine<ReadInWorker>(
      () =>
        new Worker(new URL('../../../workers/readin.worker.ts', import.meta.url), {
          type: 'module',
        }),
      SILENCE_MS,
    );
    return line.current.ask(
      (reader) => reader.readIn(transmitter, readings, enough),
      tell,
      () => tell(readIn(transmitter, readings, enough)),
    );
  }, [transmitter, readings, enough]);
  return known?.of === readings && known.enough === enough ? known.state : undefined;
}
