'use client';

import { wrap, type Remote } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { Reading } from '@/core/infer';
import type { Transmitter } from '@/core/setup';
import { readIn, type ReadInState } from '@/workers/readin';
import type { ReadInWorker } from '@/workers/readin.worker';

/**
 * The next row to read, and what is found at the end, worked out in a worker; in the page where there is none.
 * @returns undefined while it is worked out
 */
export function useReadIn(
  transmitter: Transmitter,
  readings: readonly Reading[],
  enough: boolean,
): ReadInState | undefined {
  const worker = useRef<{ own: Worker; remote: Remote<ReadInWorker> }>(undefined);
  const [known, setKnown] = useState<{
    of: readonly Reading[];
    enough: boolean;
    state: ReadInState;
  }>();
  useEffect(() => () => worker.current?.own.terminate(), []);
  useEffect(() => {
    let gone = false;
    const tell = (state: ReadInState) => {
      if (!gone) setKnown({ of: readings, enough, state });
    };
    // Told after the effect, like every other outcome.
    const here = () => setTimeout(() => tell(readIn(transmitter, readings, enough)));
    try {
      if (!worker.current) {
        const own = new Worker(new URL('../../../workers/readin.worker.ts', import.meta.url), {
          type: 'module',
        });
        worker.current = { own, remote: wrap<ReadInWorker>(own) };
      }
      const { own, remote } = worker.current;
      own.addEventListener('error', here);
      remote.readIn(transmitter, readings, enough).then(tell, here);
    } catch {
      here();
    }
    return () => {
      gone = true;
      worker.current?.own.removeEventListener('error', here);
    };
  }, [transmitter, readings, enough]);
  return known?.of === readings && known.enough === enough ? known.state : undefined;
}
