'use client';

import { useMemo } from 'react';
import { experimentWords, type Settling, type Undecided } from '@/core/interrogate';
import { facetsOf, type Facet } from '@/core/possible';
import { groundOf, type Setup } from '@/core/setup';
import { ifWords, unlessWords, type OverUnits, type ProvenIf } from '@/core/verify';
import { useSettling } from '../asking/useSettling';
import { useModel } from '../open/modelStore';
import { prefixed } from '../open/prefixed';
import { Fold } from '../parts/Fold';
import { Link } from '../parts/Link';
import { Section } from '../parts/Section';
import { StatusMark } from '../status/StatusMark';
import { GroundWord } from '../unit/GroundWord';

/** With more requirements than this what settles each is not said here. */
const MOST_WHOLE = 4;
/** More values than this say no more than that there are others. */
const MOST_SAID = 3;

/** Where it fails only with several things otherwise at once. */
const NOTHING_ALONE: Undecided = { facet: '', keys: { proven: [], fails: [] } };

const failing = ({ restsOn }: ProvenIf): string[] => restsOn.flatMap(({ fails }) => fails);

/** What the proof takes from the description of the unit, and what depends on the part nobody knows. */
export function StandsOn({ setup, units }: { setup: Setup; units: OverUnits }) {
  const facets = useMemo(() => facetsOf(setup), [setup]);
  const assumed = facets.filter((f) => groundOf(setup.unit, f.of) === 'assumed');
  const seen = facets.filter((f) => groundOf(setup.unit, f.of) === 'seen').length;
  const depends = useMemo(() => units.provenIf.filter((p) => p.proven), [units]);
  const undecided = useMemo(
    () => depends.map(({ restsOn }) => restsOn[0] ?? NOTHING_ALONE),
    [depends],
  );
  const settled = useSettling(setup, undecided);
  const otherwise = units.provenIf.filter((p) => !p.proven);
  return (
    <Section title="What the proof stands on">
      <p className="text-soft mt-1 text-sm">
        {assumed.length === 0
          ? `It takes ${facets.length} facts about the unit from its description: ${seen} of them seen on the unit, the others from the leaflet. Mark what you only assume; the requirements are then checked with every value it may have.`
          : depends.length === 0
            ? `${assumed.length} of ${facets.length} facts about the unit are only assumed. What is proven holds with every value of each.`
            : `${assumed.length} of ${facets.length} facts about the unit are only assumed, and ${depends.length === 1 ? 'one requirement depends' : `${depends.length} requirements depend`} on them.`}
      </p>
      {depends.length > 0 && (
        <ul className="mt-2 flex flex-col gap-2">
          {depends.map((p, i) => (
            <li key={p.requirement}>
              <StatusMark status="caution" words={p.title} />
              <Condition provenIf={p} />
              {settled && p.restsOn[0] && (
                <Settle
                  setup={setup}
                  facet={p.restsOn[0].facet}
                  by={settled[i] ?? null}
                  alone={p.restsOn.length === 1}
                  whole={depends.length <= MOST_WHOLE}
                />
              )}
            </li>
          ))}
        </ul>
      )}
      {otherwise.map((p) => (
        <p key={p.requirement} className="text-soft mt-2 text-sm">
          “{p.title}” does not hold as described; it would if {ifWords(p)}.
        </p>
      ))}
      <Fold className="mt-2" title={`Facts about the unit (${facets.length})`}>
        <ul className="mt-1 divide-y divide-(--card-edge)">
          {facets.map((facet) => (
            <Fact key={facet.id} facet={facet} setup={setup} idle={units.idle} />
          ))}
        </ul>
      </Fold>
    </Section>
  );
}

/** With which values a requirement holds, and with which it does not. */
function Condition({ provenIf }: { provenIf: ProvenIf }) {
  const unless = unlessWords(provenIf);
  if (unless) return <p>Proven unless {unless}.</p>;
  const fails = failing(provenIf);
  return (
    <p>
      Proven only if {ifWords(provenIf)}.
      {fails.length > 0 && (
        <span className="text-soft">
          {' '}
          {fails.length > MOST_SAID
            ? 'Not with any other value.'
            : `Not if ${fails.join(', or ')}.`}
        </span>
      )}
    </p>
  );
}

/** What to do on the bench to settle what something depends on. @param alone it depends on this fact only @param whole said here, or only asked for */
function Settle({
  setup,
  facet,
  by,
  alone,
  whole,
}: {
  setup: Setup;
  facet: string;
  by: Settling | null;
  alone: boolean;
  whole: boolean;
}) {
  const id = useModel((s) => s.id);
  if (!by)
    return (
      <p className="text-soft text-sm">
        No experiment on this model shows it: read it off the menu of the unit, or its leaflet.
      </p>
    );
  const { before, steps } = experimentWords(setup, by.experiment);
  const looks = steps.flatMap((step) => step.looks);
  const look = looks[by.look]!;
  /** What is done until it is seen. */
  const does = steps.slice(0, steps.findIndex((step) => step.looks.includes(look)) + 1);
  const todo = [before.at(-1), ...does.map((step) => step.does), look.watch].join(' ');
  const good = look.answers.flatMap(([seen, said]) =>
    seen !== 'unsure' && by.good.includes(seen) ? [said] : [],
  );
  return (
    <p className="text-soft text-sm">
      {whole &&
        `To ${by.all && alone ? 'settle' : 'begin to settle'} it: ${todo} You must see: ${good.join(', or ')}. `}
      <Link className="underline" href={`/models/${id}/ask?about=${facet}`}>
        Ask the unit about it first
      </Link>
    </p>
  );
}

function Fact({
  facet,
  setup,
  idle,
}: {
  facet: Facet;
  setup: Setup;
  /** Assumed, and without effect here. */
  idle: OverUnits['idle'];
}) {
  const edit = useModel((s) => s.edit);
  const now = facet.values.find((v) => v.key === facet.now);
  return (
    <li className="flex flex-wrap items-baseline gap-x-3 py-1.5">
      <span className="min-w-56 flex-1">
        <span className="text-soft">{facet.title}:</span> {now?.words ?? 'as described'}
        {idle.some(({ id }) => id === facet.id) && (
          <span className="text-soft text-sm"> (changes nothing here)</span>
        )}
      </span>
      <GroundWord
        unit={setup.unit}
        of={facet.of}
        about={facet.title}
        change={(patch, label) => edit(prefixed('/unit', patch), label)}
      />
    </li>
  );
}
