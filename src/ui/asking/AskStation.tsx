'use client';

import { useSearchParams } from 'next/navigation';
import { useMemo } from 'react';
import {
  answerWords,
  experimentsFor,
  experimentWords,
  found,
  putRightWords,
  recordOf,
  rewrites,
  type Answer,
  type Asking,
  type KnownFact,
  type NextExperiment,
  type Told,
} from '@/core/interrogate';
import { difference } from '@/core/patch';
import { facetsOf, openFacets, type Facet } from '@/core/possible';
import type { Setup } from '@/core/setup';
import { reasonsOf, send } from '../open/send';
import { toast } from '../parts/toast';
import { usePut } from '../live/usePut';
import { useModel } from '../open/modelStore';
import { useDraft } from '../open/useDraft';
import { Section } from '../parts/Section';
import { Edges } from './Edges';
import { Experiment } from './Experiment';
import { KnownTable } from './KnownTable';
import { useAsking } from './useAsking';

const NOTHING: readonly Told[] = [];

/** The unit asked by experiments: one at a time, each chosen to leave the fewest units that are possible. */
export function AskStation() {
  const setup = useModel((s) => s.setup);
  const id = useModel((s) => s.id);
  const edit = useModel((s) => s.edit);
  const [told, setTold] = useDraft<readonly Told[]>(`asked:${id}`, NOTHING);
  const first = useSearchParams().get('about') ?? undefined;
  const { state, fresh } = useAsking(setup, told, first);
  const facets = useMemo(() => facetsOf(setup), [setup]);
  const facts = (state?.facts ?? []).flatMap((f): KnownFact[] => {
    const facet = facets.find((x) => x.id === f.id);
    return facet ? [{ ...f, facet }] : [];
  });
  const next = state?.next;
  const words = next && experimentWords(setup, next.experiment);
  // The model on the stand is put as the experiment begins; it does what the description says.
  usePut(useMemo(() => next && { controls: next.experiment.controls }, [next]));
  const answer = (seen: Answer) => {
    if (!next || !fresh) return;
    setTold([...told, { experiment: next.experiment.id, answer: seen }]);
    // What was captured before counts no longer, and what was seen of it is stale.
    if (rewrites(next.experiment) && setup.installation.levelCapture)
      edit(
        [{ op: 'remove', path: '/installation/levelCapture' }],
        'level may be captured otherwise',
      );
  };
  const back = () => setTold(told.slice(0, -1));
  const after = useMemo(() => found(setup, facts), [setup, facts]);
  const patch = difference(setup, after);
  const seen = facts.filter((f) => f.by === 'seen').length;
  const write = () => {
    const refused = edit(patch, `${seen} facts about the unit, as seen on it`);
    if (refused.length > 0) return;
    const line = { kind: 'note', at: new Date().toISOString(), ...recordOf(facts, told) };
    void send('POST', `/api/models/${id}/log`, line).then((reply) => {
      if (!reply.ok) toast.error(`Not in the logbook: ${reasonsOf(reply.problems)}`);
    });
  };
  return (
    <div className="grid gap-4 @4xl:grid-cols-[1fr_24rem]">
      <div className="flex min-w-0 flex-col gap-4">
        {openFacets(setup).length === 0 && told.length === 0 && (
          <p className="card">
            Nothing about this unit is only assumed. Asking confirms what its leaflet says.
          </p>
        )}
        {state?.wrongLevel !== undefined && (
          <p className="border-caution bg-card text-caution border-l-4 px-3 py-1" role="status">
            In experiment {state.wrongLevel + 1} the unit may have learned a wrong level.{' '}
            {putRightWords(setup)} Capture level again with care at <em>Level</em>.
          </p>
        )}
        {!state ? (
          <p className="card" role="status">
            Working out which experiment says most …
          </p>
        ) : next && words ? (
          <Experiment
            words={words}
            number={told.length + 1}
            seconds={next.experiment.seconds}
            why={whyThis(next, facets)}
            fresh={fresh}
            onAnswer={answer}
            onBack={told.length > 0 ? back : undefined}
          />
        ) : (
          <Done state={state} told={told} setup={setup} onBack={back} />
        )}
        {patch.length > 0 && seen > 0 && state?.outside === undefined && (
          <p className="card flex flex-wrap items-center gap-3">
            <span className="min-w-60 flex-1">
              {seen} {seen === 1 ? 'fact is' : 'facts are'} known. Written into the description,
              they count as seen on the unit.
            </span>
            <button
              type="button"
              className={`btn ${next ? '' : 'btn-main'}`}
              disabled={!fresh}
              onClick={write}
            >
              Write them down
            </button>
          </p>
        )}
      </div>
      <Section title="What is known" className="card self-start">
        <KnownTable facts={facts} asked={told.length > 0} />
        {told.length > 0 && (
          <button type="button" className="btn btn-small mt-3" onClick={() => setTold(NOTHING)}>
            Start again
          </button>
        )}
      </Section>
      <div className="min-w-0">
        <Edges />
      </div>
    </div>
  );
}

/** More facts than these are not named. */
const MOST_NAMED = 3;

/** Why an experiment is the next one. */
function whyThis({ again, confirms, about }: NextExperiment, facets: readonly Facet[]): string {
  if (again) return 'Again: what was seen the first time does not fit the other answers.';
  if (confirms) return 'To be sure: a fact counts as seen once two answers agree.';
  const titles = about.slice(0, MOST_NAMED).flatMap((id) => {
    const facet = facets.find((f) => f.id === id);
    return facet ? [facet.title] : [];
  });
  return titles.length > 0 ? `It says most about: ${titles.join(', ')}.` : '';
}

/** What was seen twice and fits no unit, beside what the most similar one would have shown. */
function Misfit({
  setup,
  told,
  outside: { at, nearest },
}: {
  setup: Setup;
  told: readonly Told[];
  outside: NonNullable<Asking['outside']>;
}) {
  const experiment = useMemo(
    () => experimentsFor(setup).find((e) => e.id === told[at]?.experiment),
    [setup, told, at],
  );
  const words = experiment && experimentWords(setup, experiment);
  const said = (answer: Answer) => words && answerWords(words, answer);
  return (
    <>
      <p>It did the same thing twice that no unit described here would do.</p>
      {words && (
        <dl className="mt-2 grid gap-x-3 @md:grid-cols-[auto_1fr]">
          <dt className="text-soft">Experiment {at + 1}</dt>
          <dd>{[words.before.at(-1), ...words.steps.map(({ does }) => does)].join(' ')}</dd>
          <dt className="text-soft">You saw</dt>
          <dd>{said(told[at]?.answer ?? [])}</dd>
          <dt className="text-soft">The most similar unit</dt>
          <dd>{said(nearest)}</dd>
        </dl>
      )}
      <p className="mt-2">
        Check that the transmitter sends what {setup.name} was planned with and that every plug is
        where the plan has it. If so, describe the unit by hand at <em>Unit</em>: start from what is
        listed as known.
      </p>
    </>
  );
}

/** Nothing is left to ask: what does not fit, and what to do. */
function Done({
  state,
  told,
  setup,
  onBack,
}: {
  state: NonNullable<ReturnType<typeof useAsking>['state']>;
  told: readonly Told[];
  setup: Setup;
  onBack: () => void;
}) {
  const { outside, doubted, tired } = state;
  const title = tired ? 'Enough asked' : 'Nothing more to ask';
  return (
    <Section title={outside === undefined ? title : 'This is another kind of unit'}>
      {outside === undefined ? (
        <p>
          {told.length === 0
            ? 'No surface of this model shows what the unit does, so it cannot be asked.'
            : tired
              ? `${told.length} experiments, and some facts are still open. Describe those by hand at Unit, or start again.`
              : `${told.length} experiments. What they cannot tell apart is listed.`}
        </p>
      ) : (
        <Misfit setup={setup} told={told} outside={outside} />
      )}
      {outside === undefined && doubted.length > 0 && (
        <p className="mt-2">
          {doubted.length === 1 ? 'One answer does' : 'These answers do'} not fit the others and{' '}
          {doubted.length === 1 ? 'was' : 'were'} taken for a wrong reading: number{' '}
          {doubted.map((at) => at + 1).join(', ')}.
        </p>
      )}
      {told.length > 0 && (
        <button type="button" className="btn mt-3" onClick={onBack}>
          Take back the last answer
        </button>
      )}
    </Section>
  );
}
