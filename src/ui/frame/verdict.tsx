'use client';

import { proxy, wrap } from 'comlink';
import { createContext, useContext, useEffect, useState } from 'react';
import type { Setup } from '@/core/setup';
import { rememberProof, type Finding, type Proof } from '@/core/verify';
import type { Prover, Verdict } from '@/workers/proof.worker';
import { useModel } from './modelStore';

/** What the rules say, as far as it is known for the Setup on the screen. */
export interface KnownVerdict {
  findings: Finding[] | undefined;
  proof: Proof | undefined;
  /** States visited so far while it is being worked out; undefined when it is not. */
  visiting: number | undefined;
}

const VerdictContext = createContext<KnownVerdict>({
  findings: undefined,
  proof: undefined,
  visiting: undefined,
});

export const useVerdict = (): KnownVerdict => useContext(VerdictContext);

/** Judges the Setup in a worker whenever it changes; the next change ends what is still running. */
export function VerdictProvider({ children }: { children: React.ReactNode }) {
  const setup = useModel((s) => s.setup);
  const [known, setKnown] = useState<{ of: Setup; verdict: Verdict }>();
  const [visited, setVisited] = useState<{ of: Setup; states: number }>();
  useEffect(() => {
    const worker = new Worker(new URL('../../workers/proof.worker.ts', import.meta.url), {
      type: 'module',
    });
    const prover = wrap<Prover>(worker);
    let gone = false;
    const onProgress = proxy((states: number) => {
      if (!gone) setVisited({ of: setup, states });
    });
    void prover.judge(setup, onProgress).then((verdict) => {
      if (!gone) {
        rememberProof(setup, verdict.proof);
        setKnown({ of: setup, verdict });
      }
      worker.terminate();
    });
    return () => {
      gone = true;
      worker.terminate();
    };
  }, [setup]);
  const fresh = known?.of === setup;
  const value: KnownVerdict = {
    // What was known of the Setup before stays on the screen until the new verdict is there.
    findings: known?.verdict.findings,
    proof: known?.verdict.proof,
    visiting: fresh ? undefined : visited?.of === setup ? visited.states : 0,
  };
  return <VerdictContext value={value}>{children}</VerdictContext>;
}
