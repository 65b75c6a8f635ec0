'use client';

import { useMemo, useState } from 'react';
import {
  POSES_BEGUN,
  asShown,
  choosePose,
  columnWords,
  explained,
  posesAsked,
  read,
  type PoseSeen,
  type PosesAsked,
  type PosesSession,
} from '@/core/asking';
import { functionOf } from '@/core/setup';
import { pct } from '@/core/sheets';
import { useKeys } from '../open/keys';
import { useModel } from '../open/modelStore';
import { usePut } from '../live/usePut';
import { StatusMark } from '../status/StatusMark';
import { Places } from './Places';
import { ReadingField } from './ReadingField';
import { Section } from '../parts/Section';

/** One pose of the hands after another: the whole monitor as it must show, one answer for all of it. */
export function PoseByPose() {
  const setup = useModel((s) => s.setup);
  const evidence = useModel((s) => s.evidence);
  const [session, setSession] = useState(POSES_BEGUN);
  const asked = useMemo(() => posesAsked(setup, evidence, session), [setup, evidence, session]);
  const { poses, current, proven } = asked;
  return (
    <Section
      title={
        <>
          Read it back: {proven} of {poses.length} poses correct
        </>
      }
      className=""
    >
      <p className="text-soft text-sm">
        Open the channel monitor and set the controls like this. These poses are enough: any single
        wrong entry moves at least one of the numbers.
      </p>
      <ol className="my-2 flex flex-wrap gap-1" aria-label="Poses">
        {poses.map((p) => (
          <li key={p.pose.id}>
            <button
              type="button"
              aria-current={p === current ? 'step' : undefined}
              className={`btn min-h-9 px-3 ${p === current ? 'border-accent border-2' : ''}`}
              onClick={() => setSession(choosePose(p.pose.id))}
            >
              Pose {p.number}
              <StatusMark status={p.status} quiet />
            </button>
          </li>
        ))}
      </ol>
      {current ? (
        <PoseCard key={current.pose.id} asked={asked} seen={current} onDone={setSession} />
      ) : (
        <p>
          <StatusMark
            status="proven"
            words="Every pose shows the right numbers. Choose one to read it again."
          />
        </p>
      )}
      <Wrong asked={asked} />
    </Section>
  );
}

/** The hands so, and the column the monitor must show. */
function PoseCard({
  asked,
  seen,
  onDone,
}: {
  asked: PosesAsked;
  seen: PoseSeen;
  onDone: (session: PosesSession) => void;
}) {
  const { pose, column, number } = seen;
  const observe = useModel((s) => s.observe);
  const observeAll = useModel((s) => s.observeAll);
  // The rig's controls go where the person's are to go.
  usePut(useMemo(() => ({ controls: pose.hands }), [pose]));
  const allAsShown = () => {
    const { session, reads } = asShown(asked, seen);
    onDone(session);
    void observeAll(
      reads.map((r) => ({ ...r.subject, seen: r.seen })),
      `Pose ${number}`,
    );
  };
  useKeys((event, phase) => {
    if (phase === 'up' || event.key !== 'y') return false;
    allAsShown();
    return true;
  }, true);
  return (
    <div className="card" data-pose={pose.id}>
      <p className="text-lg">
        <strong>
          {pose.places.length === 0 ? 'Nothing touched' : 'Set these, everything else at rest'}
        </strong>
        {pose.holdS > 0 && `, and held for ${pose.holdS} s`}
      </p>
      <Places places={pose.places} />
      <table className="mt-2 w-full" data-column>
        <thead className="text-soft text-left text-sm">
          <tr>
            <th scope="col" className="font-normal">
              Channel
            </th>
            <th scope="col" className="text-right font-normal">
              must show
            </th>
            <th scope="col" className="pl-3 font-normal">
              shows, if it differs
            </th>
          </tr>
        </thead>
        <tbody>
          {column.map(({ asked: row, status, evidence, reasons }) => {
            return (
              <tr key={row.id} className="border-t border-(--card-edge)">
                <th scope="row" className="text-left font-normal">
                  <span className="num inline-block w-6">{row.channel}</span>{' '}
                  {functionOf(row.carries).words}
                  {status === 'stale' && (
                    <span className="text-soft text-sm"> · {reasons.join(', ')} changed</span>
                  )}
                </th>
                <td className="num text-lg font-semibold">{pct(Math.round(row.predictedPct))}</td>
                <td className="py-0.5 pl-3">
                  <span className="flex items-center gap-2">
                    <ReadingField
                      label={columnWords(row, seen)}
                      value={evidence && status !== 'stale' ? readOf(evidence.seen) : undefined}
                      wrong={status === 'stop'}
                      onCommit={(v) => {
                        const own = read(row, seen, v);
                        void observe(own.subject, own.seen, own.words);
                      }}
                    />
                    <StatusMark status={status} quiet />
                  </span>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="mt-3 flex flex-wrap items-center gap-3">
        <button type="button" className="btn btn-main" onClick={allAsShown}>
          All as shown <kbd className="font-num border px-1 text-xs">y</kbd>
        </button>
        <span className="text-soft text-sm">
          Within {Math.max(...column.map((c) => c.asked.tolerancePct))} % is correct: monitors
          round, and positions are estimated.
        </span>
      </p>
    </div>
  );
}

const readOf = (seen: string): number | undefined => {
  const value = parseFloat(seen);
  return Number.isNaN(value) ? undefined : value;
};

/** Which one wrong entry explains everything that was read otherwise. */
function Wrong({ asked }: { asked: PosesAsked }) {
  const setup = useModel((s) => s.setup);
  const explanations = useMemo(() => explained(setup, asked), [setup, asked]);
  if (!explanations) return null;
  return (
    <div role="alert" className="my-2 border-l-4 border-(--stop) pl-3">
      <p className="text-stop font-semibold">
        {explanations.length === 0
          ? 'No single wrong entry explains all of these. Read the first of them again.'
          : explanations.length === 1
            ? 'One wrong entry explains it:'
            : 'Each of these alone explains it, the commonest first:'}
      </p>
      <ul className="list-disc pl-5">
        {explanations.slice(0, 5).map((e) => (
          <li key={e.says}>{e.says}</li>
        ))}
      </ul>
      <p className="text-soft text-sm">Correct it in the transmitter, not here, and read again.</p>
    </div>
  );
}
