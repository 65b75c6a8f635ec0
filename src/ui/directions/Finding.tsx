'use client';

import { useState } from 'react';
import { toast } from '../parts/toast';
import type { AxisVerdict, Change, Diagnosis, Place, Verdict } from '@/core/directions';
import type { Status } from '@/core/logbook';
import { useModel } from '../open/modelStore';
import { Fold } from '../parts/Fold';
import { StatusMark } from '../status/StatusMark';
import { AXIS_WORDS } from '../words/unit';

const VERDICT: Record<Verdict, { status: Status; words: string }> = {
  right: { status: 'proven', words: 'right' },
  wrong: { status: 'stop', words: 'the wrong way' },
  mixed: { status: 'stop', words: 'one of them the wrong way' },
  still: { status: 'caution', words: 'does not move' },
  unseen: { status: 'todo', words: 'not all seen' },
};

const PLACES: Record<Place, string> = {
  transmitter: 'in the transmitter',
  unit: 'in the unit',
  servo: 'after the unit',
  linkage: 'on the model',
  mounting: 'where the unit sits',
  plug: 'at the plugs',
};

/** What the answers mean, axis by axis, and what to change where. */
export function Finding({ diagnosis }: { diagnosis: Diagnosis }) {
  const applyRemedy = useModel((s) => s.applyRemedy);
  const [busy, setBusy] = useState(false);
  const { learned, changes, silences, tries, lookNext, candidates, dearer } = diagnosis;
  const { unfinished, contradiction, verdicts } = diagnosis;
  const proven = verdicts.every(
    (v) => v.stick === 'right' && (v.correction === 'right' || v.correction === 'unseen'),
  );
  const something = learned.length + changes.length > 0;
  const count = changes.length;
  return (
    <section className="card" aria-labelledby="finding-title">
      <h2 id="finding-title" className="text-xl font-bold">
        What this means
      </h2>
      <table className="mt-2 w-full max-w-xl">
        <thead className="text-soft text-left text-sm">
          <tr>
            <th scope="col">Axis</th>
            <th scope="col">Control</th>
            <th scope="col">Correction</th>
          </tr>
        </thead>
        <tbody>
          {verdicts.map((v) => (
            <tr key={v.axis} className="h-9">
              <th scope="row" className="text-left">
                {AXIS_WORDS[v.axis]}
              </th>
              {(['stick', 'correction'] as const).map((kind) => (
                <td key={kind}>
                  <StatusMark {...VERDICT[v[kind]]} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {contradiction && <p className="text-stop mt-3">{contradiction}</p>}
      {silences.map((s) => (
        <p key={`${s.check} ${s.surface}`} className="mt-3">
          {s.sentence}
        </p>
      ))}
      {tries.length > 0 && silences.length > 0 && (
        <div className="mt-3">
          <p className="font-bold">Nothing needs reversing. Try this first:</p>
          <ol className="list-decimal pl-6">
            {tries.slice(0, 4).map((t) => (
              <li key={t.title}>
                {t.act} <span className="text-soft">({t.title}.)</span>
              </li>
            ))}
          </ol>
        </div>
      )}
      {candidates.length > 1 && lookNext.length === 0 && something && (
        <div className="mt-3">
          <p>
            {candidates.length} causes would look exactly like this. The first is assumed below;
            before you apply it, check the unit and the plugs:
          </p>
          <ul className="list-disc pl-6">
            {candidates.slice(0, 8).map((c) => (
              <li key={c.titles.join()}>{c.titles.join('; ') || 'everything is as recorded'}</li>
            ))}
          </ul>
        </div>
      )}
      {lookNext.length > 0 && (
        <p className="mt-3">
          {candidates.length} causes could explain this. The check that separates most of them:{' '}
          <strong>{lookNext[0]!.check.instruction.toLowerCase()}</strong>, and look at the{' '}
          {lookNext[0]!.surfaces.map((e) => e.surface.label.toLowerCase()).join(', ')}.
        </p>
      )}
      {unfinished.length > 0 && (
        <p className="mt-3">
          {unfinished.map((axis) => AXIS_WORDS[axis]).join(' and ')}: look at the control and the
          correction of every surface first. Which single thing to change follows from all of them.
        </p>
      )}
      {something && !contradiction && unfinished.length === 0 && lookNext.length === 0 && (
        <>
          {learned.length > 0 && (
            <>
              <h3 className="mt-4 font-bold">What we learned about your model</h3>
              <ul className="mt-1 list-disc pl-5">
                {learned.map((c) => (
                  <li key={c.atom}>{c.title}.</li>
                ))}
              </ul>
            </>
          )}
          {count > 0 && (
            <>
              <h3 className="mt-4 font-bold">
                {count === 1 ? 'Change this one thing' : `Change these ${count} things`}
              </h3>
              <ol className="mt-1 flex flex-col gap-2">
                {changes.map((c) => (
                  <ChangeCard key={c.atom} change={c} />
                ))}
              </ol>
            </>
          )}
          {dearer.length > 0 && (
            <Fold
              quiet
              className="mt-2"
              title={`${dearer.length} other ways to explain it need more faults at once`}
            >
              <ul className="list-disc pl-5 text-sm">
                {dearer.slice(0, 8).map((c) => (
                  <li key={c.titles.join()}>{c.titles.join('; ')}</li>
                ))}
              </ul>
            </Fold>
          )}
          <p className="text-soft mt-3 text-sm">
            Tried on the chain: with {count === 0 ? 'this written down' : 'these changes'} every
            stick and every correction is right. Check again on the model whatever a change affects.
          </p>
          <button
            type="button"
            className="btn btn-main mt-3"
            disabled={busy}
            onClick={async () => {
              setBusy(true);
              if (await applyRemedy())
                toast.success('Recorded. Now make the same change on the model and check again.');
              setBusy(false);
            }}
          >
            {count === 0 ? 'Write it down' : 'Apply to the Setup'}
          </button>
        </>
      )}
      {proven && !something && (
        <p className="mt-3 text-lg">
          <StatusMark status="proven" words={summary(verdicts)} />
        </p>
      )}
    </section>
  );
}

function summary(verdicts: readonly AxisVerdict[]): string {
  return verdicts.every((v) => v.correction === 'right')
    ? 'Directions proven: controls and corrections all go the right way.'
    : 'The controls are proven. Corrections are still to be seen.';
}

function ChangeCard({ change }: { change: Change }) {
  return (
    <li className="border-accent border-l-4 pl-3">
      <p className="text-lg font-semibold">
        {change.title}{' '}
        <span className="text-soft text-sm font-normal">({PLACES[change.place]})</span>
      </p>
      <p>{change.why}</p>
      {change.notElsewhere.length > 0 && (
        <Fold quiet title="Why not elsewhere">
          <ul className="list-disc pl-5 text-sm">
            {change.notElsewhere.map((reason) => (
              <li key={reason}>{reason}</li>
            ))}
          </ul>
        </Fold>
      )}
    </li>
  );
}
