'use client';

import { Link } from '../parts/Link';
import type { StepId } from '@/core/procedure';
import { useJob } from '../open/job';
import { useModel } from '../open/modelStore';
import { StatusMark } from '../status/StatusMark';

/** What should be done before this step, where it is not: each with the way there. */
export function Before({ step }: { step: StepId }) {
  const id = useModel((s) => s.id);
  const { job } = useJob();
  const waits = job?.find((j) => j.step.id === step)?.waitsFor ?? [];
  if (waits.length === 0) return null;
  return (
    <section className="card border-caution" aria-label="First">
      <p className="font-semibold">
        <StatusMark status="caution" words="Do these first: this station depends on them" />
      </p>
      <ul className="mt-1 flex flex-wrap gap-2">
        {waits.map((s) => (
          <li key={s.id}>
            <Link className="btn" href={`/models/${id}/${s.station}`}>
              {s.title}
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}
