'use client';

import { createContext, useContext, useEffect, useRef, useState } from 'react';
import type { Setup } from '@/core/setup';
import { rememberPoses } from '@/core/sheets';
import { rememberProof, type Finding, type OverUnits, type Proof } from '@/core/verify';
import type { Verdict } from '@/core/verdict';
import { askProver } from './askProver';
import { useModel } from './modelStore';
import { proverLine } from './proverLine';

/** What the rules say, as far as it is known for the Setup on the screen. */
export interface KnownVerdict {
  findings: Finding[] | undefined;
  proof: Proof | undefined;
  /** The proof for every unit that is still possible. */
  units: OverUnits | undefined;
  /** What a kind of finding is called, and why it matters. */
  reasons: Readonly<Record<string, { title: string; why: string }>>;
  /** How many rules looked. */
  rules: number;
  /** States visited so far while it is being worked out; undefined when it is not. */
  visiting: number | undefined;
  /** Why it is not being worked out any more, in words, and what can be done. */
  failed: { words: string; again: () => void; here: () => void } | undefined;
}

export const VerdictContext = createContext<KnownVerdict>({
  findings: undefined,
  proof: undefined,
  units: undefined,
  reasons: {},
  rules: 0,
  visiting: undefined,
  failed: undefined,
});

export const useVerdict = (): KnownVerdict => useContext(VerdictContext);

/** Judges the Setup off the page whenever it changes; the next change ends what is still running. */
export function VerdictProvider({ children }: { children: React.ReactNode }) {
  const setup = useModel((s) => s.setup);
  const [known, setKnown] = useState<{ of: Setup; verdict: Verdict }>();
  const [visited, setVisited] = useState<{ of: Setup; states: number }>();
  const [failed, setFailed] = useState<{ of: Setup; words: string }>();
  const [tries, setTries] = useState(0);
  const line = useRef<ReturnType<typeof proverLine>>(undefined);
  useEffect(() => () => line.current?.close(), []);
  useEffect(() => {
    line.current ??= proverLine();
    return askProver(
      line.current,
      'verdict',
      [setup],
      (verdict) => {
        rememberProof(setup, verdict.proof);
        rememberPoses(setup, verdict.poses);
        setKnown({ of: setup, verdict });
      },
      (words) => setFailed({ of: setup, words }),
      (states) => setVisited({ of: setup, states }),
    );
  }, [setup, tries]);
  const fresh = known?.of === setup;
  const broken = !fresh && failed?.of === setup ? failed.words : undefined;
  const value: KnownVerdict = {
    // What was known of the Setup before stays on the screen until the new verdict is there.
    findings: known?.verdict.findings,
    proof: known?.verdict.proof,
    units: known?.verdict.units,
    reasons: known?.verdict.reasons ?? {},
    rules: known?.verdict.rules ?? 0,
    visiting: fresh ? undefined : visited?.of === setup ? visited.states : 0,
    failed:
      broken === undefined
        ? undefined
        : {
            words: broken,
            again() {
              setFailed(undefined);
              setTries((n) => n + 1);
            },
            async here() {
              setFailed(undefined);
              const { verdictOf } = await import('@/core/verdict');
              setKnown({ of: setup, verdict: verdictOf(setup, () => undefined) });
            },
          },
  };
  return <VerdictContext value={value}>{children}</VerdictContext>;
}

/** Shows what is made from the proof once the Setup on the screen is proved. */
export function WhenProved({ children }: { children: React.ReactNode }) {
  const { visiting } = useVerdict();
  return visiting === undefined ? (
    children
  ) : (
    <p className="card" role="status">
      Looking at every position …
    </p>
  );
}

/** Says that the proof is not there and will not come by itself, with ways on. */
export function VerdictFailed() {
  const { failed } = useVerdict();
  if (!failed) return null;
  return (
    <div role="alert" className="card border-stop mb-4 flex flex-wrap items-center gap-3">
      <p className="min-w-60 flex-1 wrap-break-word">
        <strong>The program is not proved:</strong> {failed.words}. Nothing here counts as proven
        until it is.
      </p>
      <button type="button" className="btn btn-main" onClick={failed.again}>
        Try again
      </button>
      <button type="button" className="btn" onClick={failed.here}>
        Work it out in this page
      </button>
    </div>
  );
}
