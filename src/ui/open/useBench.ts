'use client';

import { useSyncExternalStore } from 'react';
import { openGates, type BenchSaid, type Caution, type Session, type Step } from '@/core/procedure';
import { benchSaid, onBench, sayOfBench } from './bench';
import { useModel } from './modelStore';

/** Often enough that an hour is over when it is over. */
const TICK_MS = 20_000;

function subscribe(changed: () => void) {
  const stop = onBench(changed);
  const clock = setInterval(changed, TICK_MS);
  return () => {
    stop();
    clearInterval(clock);
  };
}

export interface BenchHere {
  /** What must be true before a step and was not said yet. */
  open(step: Step): Caution[];
  /** Says, or takes back, that something is true of the bench as it is set up for a session. */
  say(session: Session, caution: Caution, yes: boolean): void;
}

/** What a person said of the bench of this model; it lapses when the bench changes, and after an hour. */
export function useBench(): BenchHere {
  const id = useModel((s) => s.id);
  const setup = useModel((s) => s.setup);
  // One text that changes with what is said, and every few moments with the clock; a page as the server
  // sends it knows of nothing that was said.
  const text = useSyncExternalStore(
    subscribe,
    () => `${Math.floor(Date.now() / TICK_MS)} ${JSON.stringify(benchSaid(id) ?? null)}`,
    () => `${0} ${JSON.stringify(null)}`,
  );
  const said = (JSON.parse(text.slice(text.indexOf(' '))) as BenchSaid | null) ?? undefined;
  return {
    open: (step) => openGates(step, setup, said, Date.now()),
    say: (session, caution, yes) => sayOfBench(id, session, caution, yes),
  };
}
