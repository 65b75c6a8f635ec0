'use client';

import { createContext, useContext, useMemo, useState } from 'react';
import { jobOf, nextStep, stoppedAt, wayOf, type JobStep, type WayPart } from '@/core/procedure';
import { useModel } from './modelStore';
import { useVerdict } from './verdict';

/** Where the whole job stands, worked out once for everything on the screen. */
export interface KnownJob {
  /** Undefined until the program was proved for the first time. */
  job: readonly JobStep[] | undefined;
  way: readonly WayPart[];
  /** The one next thing. */
  next: JobStep | undefined;
  /** What is shown is of the Setup before: the one on the screen is being proved. */
  pending: boolean;
}

const JobContext = createContext<KnownJob>({
  job: undefined,
  way: [],
  next: undefined,
  pending: true,
});

/** How many of the stations of the way are proven. */
export function countOf(way: readonly WayPart[]): { done: number; places: number } {
  const places = way.flatMap((p) => p.places);
  return { done: places.filter((p) => p.status === 'proven').length, places: places.length };
}

export const useJob = (): KnownJob => useContext(JobContext);

/** Works the job out again whenever the Setup, what was seen, or the verdict changes. */
export function JobProvider({ children }: { children: React.ReactNode }) {
  const setup = useModel((s) => s.setup);
  const evidence = useModel((s) => s.evidence);
  const { findings, visiting } = useVerdict();
  const judged = visiting === undefined ? findings : undefined;
  const fresh = useMemo((): KnownJob | undefined => {
    if (!judged) return undefined;
    const bench = { setup, evidence, findings: judged };
    const job = jobOf(bench);
    return {
      job,
      way: wayOf(bench, job),
      next: stoppedAt(job) ?? nextStep(job),
      pending: false,
    };
  }, [setup, evidence, judged]);
  const [last, setLast] = useState<KnownJob>();
  if (fresh && fresh !== last) setLast(fresh);
  const value = useMemo(
    (): KnownJob =>
      fresh ??
      (last
        ? { ...last, pending: true }
        : {
            job: undefined,
            way: wayOf({ setup, evidence: [], findings: undefined }),
            next: undefined,
            pending: true,
          }),
    [fresh, last, setup],
  );
  return <JobContext value={value}>{children}</JobContext>;
}
