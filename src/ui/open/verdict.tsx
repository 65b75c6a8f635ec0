'use client';

import { proxy, wrap, type Remote } from 'comlink';
import { createContext, useContext, useEffect, useRef, useState } from 'react';
import type { Setup } from '@/core/setup';
import { rememberPoses } from '@/core/sheets';
import { rememberProof, type Finding, type Proof } from '@/core/verify';
import type { Verdict } from '@/workers/judge';
import type { Prover } from '@/workers/proof.worker';
import { useModel } from './modelStore';

/** What the rules say, as far as it is known for the Setup on the screen. */
export interface KnownVerdict {
  findings: Finding[] | undefined;
  proof: Proof | undefined;
  /** What a kind of finding is called, and why it matters. */
  reasons: Readonly<Record<string, { title: string; why: string }>>;
  /** How many rules looked. */
  rules: number;
  /** States visited so far while it is being worked out; undefined when it is not. */
  visiting: number | undefined;
  /** Why it is not being worked out any more, in words, and what can be done. */
  failed: { words: string; again: () => void; here: () => void } | undefined;
}

const VerdictContext = createContext<KnownVerdict>({
  findings: undefined,
  proof: undefined,
  reasons: {},
  rules: 0,
  visiting: undefined,
  failed: undefined,
});

export const useVerdict = (): KnownVerdict => useContext(VerdictContext);

/** A proof tells how far it is many times a second; the rules after it take a moment. */
const SILENCE_MS = 10_000;

/** Judges the Setup in a worker whenever it changes; the next change ends what is still running. */
export function VerdictProvider({ children }: { children: React.ReactNode }) {
  const setup = useModel((s) => s.setup);
  const [known, setKnown] = useState<{ of: Setup; verdict: Verdict }>();
  const [visited, setVisited] = useState<{ of: Setup; states: number }>();
  const [failed, setFailed] = useState<{ of: Setup; words: string }>();
  const [tries, setTries] = useState(0);
  /** One worker for all edits: what it knows of parts that did not change it need not work out again. */
  const kept = useRef<{ worker: Worker; prover: Remote<Prover> }>(undefined);
  useEffect(() => () => kept.current?.worker.terminate(), []);
  useEffect(() => {
    let gone = false;
    let running = true;
    let heardAt = performance.now();
    const fail = (words: string) => {
      if (!gone) setFailed({ of: setup, words });
    };
    let worker: Worker;
    let prover: Remote<Prover>;
    try {
      if (!kept.current) {
        const own = new Worker(new URL('../../workers/proof.worker.ts', import.meta.url), {
          type: 'module',
        });
        // Kept together: a proxy that is thrown away tells its worker to listen no more.
        kept.current = { worker: own, prover: wrap<Prover>(own) };
      }
      ({ worker, prover } = kept.current);
    } catch (error) {
      const words = (error as Error).message;
      // Told after the effect, like every other outcome.
      const soon = setTimeout(() => fail(words));
      return () => clearTimeout(soon);
    }
    /** Stops listening; a worker in the middle of something, or broken, is let go. */
    const end = (letGo: boolean) => {
      running = false;
      clearInterval(watch);
      worker.removeEventListener('error', broke);
      if (!letGo) return;
      worker.terminate();
      if (kept.current?.worker === worker) kept.current = undefined;
    };
    const broke = (event: ErrorEvent) => {
      end(true);
      fail(event.message || 'the part of the program that works it out could not be loaded');
    };
    const watch = setInterval(() => {
      if (document.hidden) heardAt = performance.now();
      if (performance.now() - heardAt < SILENCE_MS) return;
      end(true);
      fail('it stopped responding');
    }, 1000);
    worker.addEventListener('error', broke);
    const onProgress = proxy((states: number) => {
      heardAt = performance.now();
      if (!gone) setVisited({ of: setup, states });
    });
    prover
      .judge(setup, onProgress)
      .then((verdict) => {
        if (running) end(false);
        if (!gone) {
          rememberProof(setup, verdict.proof);
          rememberPoses(setup, verdict.poses);
          setKnown({ of: setup, verdict });
        }
      })
      .catch((error: unknown) => {
        if (running) end(true);
        fail((error as Error).message);
      });
    return () => {
      gone = true;
      if (running) end(true);
    };
  }, [setup, tries]);
  const fresh = known?.of === setup;
  const broken = !fresh && failed?.of === setup ? failed.words : undefined;
  const value: KnownVerdict = {
    // What was known of the Setup before stays on the screen until the new verdict is there.
    findings: known?.verdict.findings,
    proof: known?.verdict.proof,
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
              const { judge } = await import('@/workers/judge');
              setKnown({ of: setup, verdict: judge(setup, () => undefined) });
            },
          },
  };
  return <VerdictContext value={value}>{children}</VerdictContext>;
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
