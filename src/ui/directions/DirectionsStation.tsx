'use client';

import { useMemo, useState } from 'react';
import { diagnose, type Check } from '@/core/directions';
import {
  directionSubject,
  freshObservations,
  isOpen,
  observedDirections,
  observedElsewhere,
  observedStill,
  type Observed,
  type StillLook,
} from '@/core/logbook';
import { useModel } from '../open/modelStore';
import { Before } from '../job/Before';
import { StatusMark } from '../status/StatusMark';
import { AllLooks } from './AllLooks';
import { type SurfaceAnswer } from './answers';
import { Finding } from './Finding';
import { inTurn, wantedElsewhere } from './order';
import { Question } from './Question';
import { School } from './School';
import { StillQuestion } from './StillQuestion';
import { nameOfLook } from './words';
import { Section } from '../parts/Section';

/** Which answer it is, where the server would not keep it. */
const answerWords = ({ expectation: { check, surface } }: Observed, seen: string) =>
  `“${check.instruction}: ${surface.label.toLowerCase()} ${seen === 'centre' ? 'did not move' : seen}”`;

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
  /** The one surface was chosen by name, not come to in turn. */
  const [byName, setByName] = useState(false);
  const [skipped, setSkipped] = useState<string[]>([]);
  const [trail, setTrail] = useState<readonly string[][]>([]);
  const open = order.filter(isOpen);
  const current =
    order.find((o) => nameOfLook(o.expectation) === chosen) ??
    open.find((o) => !skipped.includes(nameOfLook(o.expectation))) ??
    open[0];
  // All of them in one go once nothing else is open, or the one that is chosen from the list.
  const still = stills.filter((s) =>
    looking ? s.check.id === looking : open.length === 0 && isOpen(s),
  );
  // In one look with the surfaces of the same stick.
  const beside = stills.filter((s) => s.check.id === current?.expectation.check.id);
  const nothingElse = (looks: readonly StillLook[]) => {
    setLooking(undefined);
    for (const { members } of looks)
      for (const o of members)
        void observe(directionSubject(o.expectation), 'centre', answerWords(o, 'centre'));
  };
  const elseMoved = (o: Observed) => {
    setLooking(undefined);
    setElsewhere((list) => [...list, nameOfLook(o.expectation)]);
    choose(o);
  };
  const stale = order.filter((o) => o.status === 'stale');
  const staleReasons = [...new Set(stale.flatMap((o) => o.reasons))];

  const after = (done: readonly Observed[], passing: readonly string[]) => {
    const rest = order.slice(order.indexOf(done.at(-1)!) + 1).concat(order);
    const left = rest.filter((r) => !done.includes(r) && isOpen(r));
    const next = left.find((r) => !passing.includes(nameOfLook(r.expectation))) ?? left[0];
    setChosen(next && nameOfLook(next.expectation));
    setByName(false);
  };
  const answer = (answers: readonly SurfaceAnswer[]) => {
    const done = answers.map(([o]) => o);
    setTrail((t) => [...t, done.map((o) => nameOfLook(o.expectation))]);
    after(done, skipped);
    for (const [o, seen] of answers)
      void observe(directionSubject(o.expectation), seen, answerWords(o, seen));
  };
  const skip = (passed: readonly Observed[]) => {
    const names = passed.map((o) => nameOfLook(o.expectation));
    const passing = [...skipped.filter((k) => !names.includes(k)), ...names];
    setSkipped(passing);
    after(passed, passing);
  };
  const back = () => {
    const last = order.filter((o) => trail.at(-1)?.includes(nameOfLook(o.expectation)));
    setTrail(trail.slice(0, -1));
    setChosen(last[0] && nameOfLook(last[0].expectation));
    for (const o of last)
      void observe(directionSubject(o.expectation), 'unseen', answerWords(o, 'taken back'));
  };
  /** One surface, chosen from the lists. */
  const choose = (o: Observed) => {
    setChosen(nameOfLook(o.expectation));
    setByName(true);
  };

  return (
    <div className="flex flex-col gap-4">
      <div className="flex min-w-0 flex-col gap-4">
        <Before step={kind === 'stick' ? 'sticks' : 'corrections'} />
        {still.length > 0 ? (
          <StillQuestion looks={still} onNothing={() => nothingElse(still)} onMoved={elseMoved} />
        ) : current ? (
          <Question
            key={`${current.expectation.check.id} ${byName}`}
            look={order.filter((o) => o.expectation.check.id === current.expectation.check.id)}
            at={current}
            chosen={byName}
            onChoose={choose}
            left={open.length}
            total={order.length}
            onAnswer={answer}
            onSkip={open.length > 1 ? skip : undefined}
            onInstead={(e) => setChosen(nameOfLook(e))}
            onBack={trail.length > 0 ? back : undefined}
            beside={
              beside.length > 0 && (
                <StillQuestion
                  beside
                  looks={beside}
                  onNothing={() => nothingElse(beside)}
                  onMoved={elseMoved}
                />
              )
            }
          />
        ) : (
          <section className="card">
            <h2 className="text-xl font-bold">Every surface has been checked</h2>
            <p className="mt-1">
              {diagnosis.verdicts.every((v) => v.stick === 'right' && v.correction !== 'wrong')
                ? 'Choose any line of the lists to check it again.'
                : 'Something must be changed: see below.'}
            </p>
          </section>
        )}
        {staleReasons.length > 0 && (
          <Section
            title={
              <>
                <StatusMark status="stale" words="Check again" />
              </>
            }
          >
            <p className="mt-1">
              {stale.length} answers no longer hold, because {staleReasons.join('; ')} changed
              since.
            </p>
          </Section>
        )}
        <Finding diagnosis={diagnosis} />
        {/* What to fix first is a question once there is something to fix. */}
        {diagnosis.verdicts.some((v) => v.stick === 'wrong' || v.correction === 'wrong') && (
          <School />
        )}
      </div>
      <AllLooks
        order={order}
        current={current}
        stills={stills}
        asked={still}
        onChoose={choose}
        onStill={setLooking}
      />
    </div>
  );
}
