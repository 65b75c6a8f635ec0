'use client';

import { useMemo, useState } from 'react';
import { readingSubject, readings, worstOf, type Checked, type Status } from '@/core/logbook';
import { functionOf } from '@/core/setup';
import { explain, pct, posesOf, type Pose, type ReadBack } from '@/core/sheets';
import { useKeys } from '../open/keys';
import { useModel } from '../open/modelStore';
import { usePut } from '../live/usePut';
import { StatusMark } from '../status/StatusMark';
import { Places } from './Places';
import { ReadingField } from './ReadingField';
import { Section } from '../parts/Section';

interface PoseSeen {
  pose: Pose;
  column: Checked<ReadBack>[];
  status: Status;
}

/** The poses with what was read in each. */
function usePoses(): PoseSeen[] {
  const setup = useModel((s) => s.setup);
  const evidence = useModel((s) => s.evidence);
  return useMemo(() => {
    const all = readings(setup, evidence);
    return posesOf(setup).poses.map((pose) => {
      const own = new Set(pose.column.map((r) => r.id));
      const column = all.filter((c) => own.has(c.asked.id));
      return { pose, column, status: worstOf(column.map((c) => c.status)) };
    });
  }, [setup, evidence]);
}

/** One pose of the hands after another: the whole monitor as it must show, one answer for all of it. */
export function PoseByPose() {
  const poses = usePoses();
  const [chosen, choose] = useState<string>();
  const current =
    poses.find((p) => p.pose.id === chosen) ?? poses.find((p) => p.status !== 'proven');
  const at = current ? poses.indexOf(current) : -1;
  const proven = poses.filter((p) => p.status === 'proven').length;
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
        {poses.map((p, i) => (
          <li key={p.pose.id}>
            <button
              type="button"
              aria-current={p === current ? 'step' : undefined}
              className={`btn min-h-9 px-3 ${p === current ? 'border-accent border-2' : ''}`}
              onClick={() => choose(p.pose.id)}
            >
              Pose {i + 1}
              <StatusMark status={p.status} quiet />
            </button>
          </li>
        ))}
      </ol>
      {current ? (
        <PoseCard
          key={current.pose.id}
          seen={current}
          number={at + 1}
          onDone={() => choose(poses[at + 1]?.pose.id)}
        />
      ) : (
        <p>
          <StatusMark
            status="proven"
            words="Every pose shows the right numbers. Choose one to read it again."
          />
        </p>
      )}
      <Wrong poses={poses} />
    </Section>
  );
}

/** The hands so, and the column the monitor must show. */
function PoseCard({
  seen: { pose, column },
  number,
  onDone,
}: {
  seen: PoseSeen;
  number: number;
  onDone: () => void;
}) {
  const observe = useModel((s) => s.observe);
  const observeAll = useModel((s) => s.observeAll);
  // The rig's controls go where the person's are to go.
  usePut(useMemo(() => ({ controls: pose.hands }), [pose]));
  const words = `Pose ${number}`;
  const allAsShown = () => {
    onDone();
    void observeAll(
      column.map(({ asked }) => ({
        ...readingSubject(asked),
        seen: `${Math.round(asked.predictedPct)}%` as const,
      })),
      words,
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
          {column.map(({ asked, status, evidence, reasons }) => {
            const label = `Channel ${asked.channel}, ${functionOf(asked.carries).words}, pose ${number}`;
            return (
              <tr key={asked.id} className="border-t border-(--card-edge)">
                <th scope="row" className="text-left font-normal">
                  <span className="num inline-block w-6">{asked.channel}</span>{' '}
                  {functionOf(asked.carries).words}
                  {status === 'stale' && (
                    <span className="text-soft text-sm"> · {reasons.join(', ')} changed</span>
                  )}
                </th>
                <td className="num text-lg font-semibold">{pct(Math.round(asked.predictedPct))}</td>
                <td className="py-0.5 pl-3">
                  <span className="flex items-center gap-2">
                    <ReadingField
                      label={label}
                      value={evidence && status !== 'stale' ? readOf(evidence.seen) : undefined}
                      wrong={status === 'stop'}
                      onCommit={(v) =>
                        void observe(
                          readingSubject(asked),
                          v === undefined ? 'unseen' : (`${v}%` as const),
                          label,
                        )
                      }
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
function Wrong({ poses }: { poses: readonly PoseSeen[] }) {
  const setup = useModel((s) => s.setup);
  const all = poses.flatMap((p) => p.column);
  const wrong = all.filter((c) => c.status === 'stop');
  const values = JSON.stringify(
    Object.fromEntries(
      all
        .filter((c) => c.evidence && c.status !== 'stale' && c.status !== 'todo')
        .map((c) => [c.asked.id, parseFloat(c.evidence!.seen)] as const),
    ),
  );
  const explanations = useMemo(
    () =>
      explain(
        setup,
        posesOf(setup).poses.flatMap((p) => p.column),
        JSON.parse(values) as Record<string, number>,
      ),
    [setup, values],
  );
  if (wrong.length === 0) return null;
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
