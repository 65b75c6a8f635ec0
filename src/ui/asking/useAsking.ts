'use client';

import { useEffect, useRef, useState } from 'react';
import type { Told } from '@/core/interrogate';
import type { Setup } from '@/core/setup';
import { ask, type AskState } from '@/workers/ask';
import type { AskWorker } from '@/workers/ask.worker';
import { WorkerLine } from '../open/workerLine';

/** The first question takes a few seconds on a slow computer. */
const SILENCE_MS = 60_000;

/** What to try next and what is known, worked out in a worker; in the page where there is none. */
export function useAsking(
  setup: Setup,
  told: readonly Told[],
): { state: AskState | undefined; fresh: boolean } {
  const line = useRef<WorkerLine<AskWorker>>(undefined);
  const [known, setKnown] = useState<{ of: readonly Told[]; in: Setup; state: AskState }>();
  useEffect(() => () => line.current?.close(), []);
  useEffect(() => {
    const tell = (state: AskState) => setKnown({ of: told, in: setup, state });
    line.current ??= new WorkerLine<AskWorker>(
      () => new Worker(new URL('../../workers/ask.worker.ts', import.meta.url), { type: 'module' }),
      SILENCE_MS,
    );
    return line.current.ask(
      (asker) => asker.ask(setup, told),
      tell,
      () => tell(ask(setup, told)),
    );
  }, [setup, told]);
  const fresh = known?.of === told && known.in === setup;
  // What was known before stays on the screen while the next is worked out.
  return { state: known?.state, fresh };
}
