'use client';

import { useMemo, useState } from 'react';
import { modeWords } from '@/core/chain';
import { diagnose, type Check, type Diagnosis, type Expectation } from '@/core/directions';
import {
  freshObservations,
  observedDirections,
  observedElsewhere,
  observedStill,
  type Observed,
  type Seen,
  type Status,
} from '@/core/logbook';
import { Choice } from '../fields/Choice';
import { useModel } from '../frame/modelStore';
import { Before } from '../job/Before';
import { StatusMark } from '../status/StatusMark';
import { Finding } from './Finding';
import { Question } from './Question';
import { StillQuestion } from './StillQuestion';
import { handWords, type Setup } from '@/core/setup';

const key = ({ check, surface }: Expectation) => `${check.id} ${surface.id}`;
/** Which answer it is, where the server would not keep it. */
const answerWords = ({ expectation: { check, surface } }: Observed, seen: string) =>
  `“${check.instruction}: ${surface.label.toLowerCase()} ${seen === 'centre' ? 'did not move' : seen}”`;
const isOpen = (o: Observed) => o.status === 'todo' || o.status === 'stale';

/** With the unit off: every stick, and what it moves. */
export const SticksStation = () => <DirectionsStation kind="stick" />;

/** The model moved, and what the unit answers, in every mode. */
export const CorrectionsStation = () => <DirectionsStation kind="correction" />;

/** Move, look, answer: one movement at a time, then what the answers mean. */
function DirectionsStation({ kind }: { kind: Check['kind'] }) {
  const setup = useModel((s) => s.setup);
  const evidence = useModel((s) => s.evidence);
  const observe = useModel((s) => s.observe);
  const diagnosis = useMemo(
    () => diagnose(setup, freshObservations(setup, evidence)),
    [setup, evidence],
  );
  /** Surfaces said to move where they should not: which way is asked then. */
  const [elsewhere, setElsewhere] = useState<string[]>([]);
  const order = useMemo(
    () =>
      inTurn(
        [
          ...observedDirections(setup, evidence),
          ...wantedElsewhere(observedElsewhere(setup, evidence), diagnosis, elsewhere),
        ].filter((o) => o.expectation.check.kind === kind),
      ),
    [setup, evidence, diagnosis, elsewhere, kind],
  );
  const stills = useMemo(
    () => (kind === 'stick' ? observedStill(setup, evidence) : []),
    [setup, evidence, kind],
  );
  const [looking, setLooking] = useState<string>();
  const [chosen, setChosen] = useState<string>();
  const [skipped, setSkipped] = useState<string[]>([]);
  const [trail, setTrail] = useState<string[]>([]);
  const open = order.filter(isOpen);
  const current =
    order.find((o) => key(o.expectation) === chosen) ??
    open.find((o) => !skipped.includes(key(o.expectation))) ??
    open[0];
  const openStills = stills.filter((s) => s.status === 'todo' || s.status === 'stale');
  // By itself once nothing else is open, or when it is chosen from the list.
  const still =
    stills.find((s) => s.check.id === looking) ?? (open.length === 0 ? openStills[0] : undefined);
  // In one look with the surfaces of the same stick.
  const beside = stills.find((s) => s.check.id === current?.expectation.check.id && s !== still);
  const nothingElse = (look: (typeof stills)[number]) => {
    setLooking(undefined);
    for (const o of look.members)
      void observe(look.check.id, o.expectation.surface.id, 'centre', answerWords(o, 'centre'));
  };
  const elseMoved = (o: Observed) => {
    setLooking(undefined);
    setElsewhere((list) => [...list, key(o.expectation)]);
    setChosen(key(o.expectation));
  };
  const stale = order.filter((o) => o.status === 'stale');
  const staleReasons = [...new Set(stale.flatMap((o) => o.reasons))];

  const after = (o: Observed, passing: readonly string[]) => {
    const rest = order.slice(order.indexOf(o) + 1).concat(order);
    const next =
      rest.find((r) => r !== o && isOpen(r) && !passing.includes(key(r.expectation))) ??
      rest.find((r) => r !== o && isOpen(r));
    setChosen(next && key(next.expectation));
  };
  const answer = (o: Observed, seen: Seen) => {
    const name = key(o.expectation);
    setTrail((t) => [...t, name]);
    after(o, skipped);
    void observe(o.expectation.check.id, o.expectation.surface.id, seen, answerWords(o, seen));
  };
  const skip = (o: Observed) => {
    const passing = [...skipped.filter((k) => k !== key(o.expectation)), key(o.expectation)];
    setSkipped(passing);
    after(o, passing);
  };
  const back = () => {
    const last = trail.at(-1);
    const o = order.find((x) => key(x.expectation) === last);
    if (!o || !last) return;
    setTrail(trail.slice(0, -1));
    setChosen(last);
    void observe(
      o.expectation.check.id,
      o.expectation.surface.id,
      'unseen',
      answerWords(o, 'taken back'),
    );
  };

  return (
    <div className="flex flex-col gap-4">
      <div className="flex min-w-0 flex-col gap-4">
        <Before step={kind === 'stick' ? 'sticks' : 'corrections'} />
        {still ? (
          <StillQuestion look={still} onNothing={() => nothingElse(still)} onMoved={elseMoved} />
        ) : current ? (
          <Question
            key={current.expectation.check.id}
            look={order.filter((o) => o.expectation.check.id === current.expectation.check.id)}
            at={current}
            onChoose={(o) => setChosen(key(o.expectation))}
            left={open.length}
            total={order.length}
            onAnswer={answer}
            onSkip={open.length > 1 ? () => skip(current) : undefined}
            onInstead={(e) => setChosen(key(e))}
            onBack={trail.length > 0 ? back : undefined}
            beside={
              beside && (
                <StillQuestion
                  beside
                  look={beside}
                  onNothing={() => nothingElse(beside)}
                  onMoved={elseMoved}
                />
              )
            }
          />
        ) : (
          <section className="card">
            <h2 className="text-xl font-bold">Every surface has been looked at</h2>
            <p className="mt-1">
              {diagnosis.verdicts.every((v) => v.stick === 'right' && v.correction !== 'wrong')
                ? 'Choose any line of the lists to look at it again.'
                : 'What was seen needs a change; it is worked out below.'}
            </p>
          </section>
        )}
        {staleReasons.length > 0 && (
          <section className="card" aria-labelledby="stale-title">
            <h2 id="stale-title" className="text-lg font-bold">
              <StatusMark status="stale" words="Look again" />
            </h2>
            <p className="mt-1">
              {stale.length} answers no longer hold, because {staleReasons.join('; ')} changed
              since.
            </p>
          </section>
        )}
        <Finding diagnosis={diagnosis} />
      </div>
      <aside className="grid gap-4 @lg:grid-cols-2" aria-label="All of them">
        <School />
        {stills.length > 0 && (
          <section className="card">
            <h2 className="text-lg font-bold">Nothing else moves</h2>
            <ul className="mt-1">
              {stills.map((s) => (
                <Line
                  key={s.check.id}
                  now={s === still}
                  status={s.status}
                  wrong="something moved"
                  onChoose={() => setLooking(s.check.id)}
                >
                  With the {HAND_WORDS[s.check.axis]} stick
                </Line>
              ))}
            </ul>
          </section>
        )}
        {groupsOf(setup, order).map(({ title, members }) => (
          <section key={title} className="card">
            <h2 className="text-lg font-bold">{title}</h2>
            <ul className="mt-1">
              {members.map((o) => (
                <Line
                  key={key(o.expectation)}
                  now={o === current}
                  status={o.status}
                  wrong={o.evidence?.seen === 'centre' ? 'did not move' : 'wrong way'}
                  onChoose={() => setChosen(key(o.expectation))}
                >
                  {o.expectation.surface.label}
                  <span className="text-soft text-sm"> · {o.expectation.check.axis}</span>
                </Line>
              ))}
            </ul>
          </section>
        ))}
      </aside>
    </div>
  );
}

/** One thing to look at, where it stands, and a way back to it. */
function Line({
  now,
  status,
  wrong,
  onChoose,
  children,
}: {
  now: boolean;
  status: Status;
  /** What is said of it when it is not as it must be. */
  wrong: string;
  onChoose: () => void;
  children: React.ReactNode;
}) {
  return (
    <li>
      <button
        type="button"
        aria-current={now ? 'step' : undefined}
        className={`flex min-h-11 w-full items-center justify-between gap-2 rounded px-2 text-left hover:bg-(--shade) ${
          now ? 'bg-(--shade) font-semibold' : ''
        }`}
        onClick={onChoose}
      >
        <span>{children}</span>
        <StatusMark status={status} {...(status === 'stop' ? { words: wrong } : {})} />
      </button>
    </li>
  );
}

/** Which of the two is put right first; a unit that learns from the sticks leaves no choice. */
function School() {
  const setup = useModel((s) => s.setup);
  const hands = handWords(setup.transmitter);
  const edit = useModel((s) => s.edit);
  const learns = setup.unit.traits.correctionDirection === 'learned';
  if (learns)
    return (
      <p className="card">
        <strong>{hands.title} first.</strong> This unit learns its directions from the {hands.all}:
        they must be right before anything else.
      </p>
    );
  return (
    <section className="card">
      <Choice
        label="What to put right first"
        value={setup.intents.school}
        options={[
          ['sticks-first', 'Sticks first'],
          ['unit-first', 'Unit first'],
        ]}
        onChange={(school) =>
          edit(
            [{ op: 'replace', path: '/intents/school', value: school }],
            school === 'sticks-first' ? 'Sticks first' : 'Unit first',
          )
        }
      />
      <p className="text-soft mt-1 text-sm">
        Either is done. What to change is worked out from both together.
      </p>
    </section>
  );
}

/** Sticks, corrections, and each further mode by itself. */
function groupsOf(
  setup: Setup,
  order: readonly Observed[],
): { title: string; members: Observed[] }[] {
  const hands = handWords(setup.transmitter);
  const title = ({ kind, mode, again }: Check) =>
    kind === 'stick'
      ? `${hands.title}, unit off`
      : again
        ? `Once more in ${mode && modeWords(setup.unit, mode)}`
        : `Corrections${mode ? ` in ${modeWords(setup.unit, mode)}` : ', unit on'}`;
  const groups = new Map<string, Observed[]>();
  for (const o of order) {
    const name = title(o.expectation.check);
    groups.set(name, [...(groups.get(name) ?? []), o]);
  }
  return [...groups].map(([name, members]) => ({ title: name, members }));
}

/** Surfaces that should stay still, as far as their answer would tell something or was already given. */
function wantedElsewhere(
  elsewhere: readonly Observed[],
  { lookNext }: Diagnosis,
  said: readonly string[],
): Observed[] {
  const wanted = new Set([...lookNext.slice(0, 1).flatMap((l) => l.surfaces.map(key)), ...said]);
  return elsewhere.filter(
    (o) =>
      wanted.has(key(o.expectation)) ||
      o.status === 'stop' ||
      (o.status === 'proven' && o.expectation.check.kind === 'correction'),
  );
}

const HAND_WORDS = { roll: 'aileron', pitch: 'elevator', yaw: 'rudder' } as const;

/** Other modes last; surfaces of one movement together. */
function inTurn(observed: readonly Observed[]): Observed[] {
  const rank = ({ check, sign }: Expectation) => (check.again ? 2 : 0) + (sign === 0 ? 1 : 0);
  return observed.toSorted((a, b) => rank(a.expectation) - rank(b.expectation));
}
