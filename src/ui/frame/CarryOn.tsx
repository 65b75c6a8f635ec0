'use client';

import { Link } from '../parts/Link';
import { isDone, isTest, checklist } from '@/core/logbook';
import { EVERYWHERE, nextFrom, type JobStep, type StationId } from '@/core/procedure';
import { useBench } from '../open/useBench';
import { TestScript } from '../checks/TestScript';
import { useJob } from '../open/job';
import { useModel } from '../open/modelStore';

/**
 * When a station is done and what comes next is a list of things to do and see with the bench as it
 * is, the list is brought here: nobody has to turn the page for it.
 */
export function CarryOn({ here }: { here: StationId | undefined }) {
  const id = useModel((s) => s.id);
  const setup = useModel((s) => s.setup);
  const evidence = useModel((s) => s.evidence);
  const { job, pending } = useJob();
  const { open } = useBench();
  if (!job || pending || here === undefined || here in EVERYWHERE) return null;
  const own = job.filter((j) => j.step.station === here);
  if (own.length === 0 || own.some((j) => !isDone(j.status))) return null;
  const next = nextFrom(job, here);
  const test = next && isTest(next.step.id) ? next.step.id : undefined;
  if (!next || !test || !sameBench(own[0]!, next) || open(next.step).length > 0) return null;
  const steps = checklist(setup, evidence, test);
  // What is proven by more than its list, or found wrong, is for its own station.
  if (next.status === 'stop' || steps.length === 0 || steps.length !== next.proofs.length)
    return null;
  return (
    <section className="mt-4" data-carry aria-labelledby="carry-on-title">
      <h2 id="carry-on-title" className="font-head text-xl font-bold">
        Then: {next.step.title}
      </h2>
      <p className="text-soft mb-2">
        {next.step.does}{' '}
        <Link className="underline" href={`/models/${id}/${next.step.station}`}>
          Open its station
        </Link>
      </p>
      <TestScript key={next.step.id} title={next.step.title} steps={steps} />
    </section>
  );
}

/** Nothing has to be changed on the bench between the two. */
const sameBench = (a: JobStep, b: JobStep): boolean =>
  a.step.session === b.step.session ||
  (a.step.session === 'table' && b.step.session === 'prop-off');
