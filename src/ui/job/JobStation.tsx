'use client';

import { Link } from '../parts/Link';
import {
  gatesOf,
  isReady,
  restsOnWord,
  nextStep,
  shortestWay,
  stoppedAt,
  type JobStep,
} from '@/core/procedure';
import { useJob } from '../open/job';
import { useModel } from '../open/modelStore';
import { StatusMark } from '../status/StatusMark';
import { PaperLinks } from '../paper/PaperLinks';
import { CautionBoxes } from './Cautions';
import { Events } from './Events';
import { sessionWords } from '../words/sessions';
import { kindOf } from '@/core/setup';
import { useBench } from '../open/useBench';
import { LOCAL_RULES } from '../words';
import { Section } from '../parts/Section';

/** What the way beside it does not say: the one thing to do next, the shortest way from here, what a change would undo. */
export function JobStation() {
  const { job, pending } = useJob();
  if (!job || pending)
    return (
      <p className="card text-lg" role="status">
        Going through every state of the program …
      </p>
    );
  return (
    <div className="flex min-w-0 flex-col gap-4">
      {isReady(job) && <Ready job={job} />}
      <Next job={job} />
      <Way job={job} />
      <Events />
      <p className="flex flex-wrap gap-2">
        <PaperLinks what="job" words="Job sheet" papers={['A4', 'LETTER']} />
      </p>
    </div>
  );
}

/** Nothing stands between the model and its next flight or run. */
function Ready({ job }: { job: readonly JobStep[] }) {
  const rests = restsOnWord(job);
  const id = useModel((s) => s.id);
  const { outside } = kindOf(useModel((s) => s.setup.airframe));
  return (
    <section className="card" aria-labelledby="ready-title">
      <h2 id="ready-title" className="text-2xl font-bold">
        <StatusMark status="proven" words="Ready" />
      </h2>
      <p className="mt-1 text-lg">
        Nothing stands in the way. On the day:{' '}
        <Link className="underline" href={`/models/${id}/preflight`}>
          the preflight card
        </Link>
        . {outside} {LOCAL_RULES}
      </p>
      {rests.length > 0 && (
        <p className="mt-1">
          <StatusMark
            status="said"
            words={`It relies on what you confirmed without checking one by one: ${rests.map((j) => j.step.title).join(', ')}.`}
          />
        </p>
      )}
    </section>
  );
}

/** One clear next action, and what must be sure before it. */
function Next({ job }: { job: readonly JobStep[] }) {
  const id = useModel((s) => s.id);
  const airframe = useModel((s) => s.setup.airframe);
  const { open } = useBench();
  const setup = useModel((s) => s.setup);
  const next = stoppedAt(job) ?? nextStep(job);
  if (!next) return null;
  const { step, status, proofs, reasons } = next;
  const missing = open(step);
  return (
    <section className="card border-accent border-l-4" aria-labelledby="next-title">
      <p className="text-soft text-sm">{sessionWords(step.session, airframe)}</p>
      <h2 id="next-title" className="text-2xl font-bold">
        {step.title}: {step.does}
      </h2>
      {status === 'stop' && (
        <p className="text-stop mt-1 font-semibold">
          Found wrong: {proofs.find((p) => p.status === 'stop')!.what}
        </p>
      )}
      {reasons.length > 0 && (
        <p className="mt-1">
          <StatusMark status="stale" words={`${reasons.join('; ')} changed`} />
        </p>
      )}
      {gatesOf(step, setup).length > 0 && (
        <fieldset className="border-caution mt-3 border-l-4 pl-3">
          <legend className="text-caution font-bold">Sure of this?</legend>
          <CautionBoxes step={step} />
        </fieldset>
      )}
      {missing.length > 0 ? (
        <p className="text-soft mt-3" role="status">
          Tick each true statement to continue.
        </p>
      ) : (
        <Link href={`/models/${id}/${step.station}`} className="btn btn-main mt-3 text-lg">
          Do it now
        </Link>
      )}
    </section>
  );
}

/** The shortest way from here: what one session at the bench can cover, and why each step is open. */
function Way({ job }: { job: readonly JobStep[] }) {
  const id = useModel((s) => s.id);
  const airframe = useModel((s) => s.setup.airframe);
  const way = shortestWay(job);
  if (way.length === 0) return null;
  return (
    <Section title="Shortest way from here">
      <ol className="mt-1 flex flex-col gap-3">
        {way.map(({ session, steps }, i) => (
          <li key={i}>
            <h3 className="text-soft font-sans text-sm font-semibold">
              {i + 1}. {sessionWords(session, airframe)}
            </h3>
            <ol className="divide-y divide-(--card-edge)">
              {steps.map(({ step, status, proofs, done, reasons }) => (
                <li key={step.id}>
                  <Link
                    href={`/models/${id}/${step.station}`}
                    className="flex min-h-11 flex-wrap items-center justify-between gap-x-4 rounded px-1 py-1 hover:bg-(--shade)"
                  >
                    <span className="min-w-0 flex-1">
                      <strong>{step.title}</strong>{' '}
                      <span className="text-soft text-sm">
                        {reasons.length > 0 ? `${reasons.join('; ')} changed` : step.does}
                      </span>
                    </span>
                    <span className="num text-soft text-sm">
                      {done}/{proofs.length}
                    </span>
                    <StatusMark status={status} />
                  </Link>
                </li>
              ))}
            </ol>
          </li>
        ))}
      </ol>
      {way.length > 1 && (
        <p className="text-soft mt-2 text-sm">
          Other orders also work; this one changes the bench set-up {way.length - 1}{' '}
          {way.length === 2 ? 'time' : 'times'}, the fewest possible.
        </p>
      )}
    </Section>
  );
}
