'use client';

import { useMemo, useState } from 'react';
import * as asking from '@/core/asking';
import { diagnose, type Check } from '@/core/directions';
import { freshObservations } from '@/core/logbook';
import { useModel } from '../open/modelStore';
import { Before } from '../job/Before';
import { Section } from '../parts/Section';
import { StatusMark } from '../status/StatusMark';
import { MarkSeen } from '../unit/MarkSeen';
import { AllLooks } from './AllLooks';
import { Finding } from './Finding';
import { Question } from './Question';
import { School } from './School';
import { StillQuestion } from './StillQuestion';

/** With the unit off: every stick, and what it moves. */
export const SticksStation = () => <DirectionsStation kind="stick" />;

/** The model moved, and what the unit answers, in every mode. */
export const CorrectionsStation = () => <DirectionsStation kind="correction" />;

/** Move, look, answer: one movement at a time, then what the answers mean. */
function DirectionsStation({ kind }: { kind: Check['kind'] }) {
  const setup = useModel((s) => s.setup);
  const evidence = useModel((s) => s.evidence);
  const observe = useModel((s) => s.observe);
  const [session, setSession] = useState(asking.BEGUN);
  const diagnosis = useMemo(
    () => diagnose(setup, freshObservations(setup, evidence)),
    [setup, evidence],
  );
  const asked = useMemo(
    () => asking.directionsAsked(setup, evidence, kind, session, diagnosis),
    [setup, evidence, kind, session, diagnosis],
  );
  const put = ({ session: next, seen }: asking.Answered) => {
    setSession(next);
    for (const one of seen) void observe(one.subject, one.seen, one.words);
  };
  const { current, still, beside, stale } = asked;
  const ofStill = (looks: typeof still) => ({
    looks,
    onNothing: () => put(asking.nothingElse(session, looks)),
    onMoved: (o: asking.SurfaceAnswer[0]) => setSession(asking.elseMoved(session, o)),
  });

  return (
    <div className="flex flex-col gap-4">
      <div className="flex min-w-0 flex-col gap-4">
        <Before step={kind === 'stick' ? 'sticks' : 'corrections'} />
        {still.length > 0 ? (
          <StillQuestion {...ofStill(still)} />
        ) : current ? (
          <Question
            key={`${current.expectation.check.id} ${session.byName}`}
            look={asked.look}
            at={current}
            chosen={session.byName}
            onChoose={(o) => setSession(asking.choose(session, o))}
            left={asked.left}
            total={asked.order.length}
            onAnswer={(answers) => put(asking.answer(asked, session, answers))}
            onSkip={asked.canSkip ? (of) => setSession(asking.skip(asked, session, of)) : undefined}
            onInstead={(e) => setSession(asking.instead(session, e))}
            onBack={asked.canTakeBack ? () => put(asking.takeBack(asked, session)) : undefined}
            beside={beside.length > 0 && <StillQuestion beside {...ofStill(beside)} />}
          />
        ) : (
          <section className="card">
            <h2 className="text-xl font-bold">Every surface has been checked</h2>
            <p className="mt-1">
              {diagnosis.verdicts.every((v) => v.stick === 'right' && v.correction !== 'wrong')
                ? 'Choose a line to check it again.'
                : 'Something must be changed: see below.'}
            </p>
          </section>
        )}
        {kind === 'correction' &&
          diagnosis.verdicts.length > 0 &&
          diagnosis.verdicts.every((v) => v.correction === 'right') && (
            <MarkSeen
              of={['traits', 'nominalSense']}
              words="Every correction is right, so which way the unit corrects is as described."
            />
          )}
        {stale.count > 0 && (
          <Section title={<StatusMark status="stale" words="Check again" />}>
            <p className="mt-1">
              {stale.count} answers no longer hold, because {stale.reasons.join('; ')} changed
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
        order={asked.order}
        current={current}
        stills={asked.stills}
        asked={still}
        onChoose={(o) => setSession(asking.choose(session, o))}
        onStill={(check) => setSession(asking.askStill(session, check))}
      />
    </div>
  );
}
