'use client';

import { useState } from 'react';
import {
  FACES_BEGUN,
  faceAccepted,
  faceBefore,
  faceWaits,
  facesAsked,
  showFace,
} from '@/core/asking';
import {
  FACES,
  SQUARE_DEG,
  USUAL_PINS,
  faceOf,
  faceWords,
  orderProblems,
  readSixFace,
  simulateSixFace,
  sixFace,
  wantsSixFaces,
} from '@/core/calibration';
import { checklist } from '@/core/logbook';
import type { Vector3 } from '@/core/space';
import { useDraft } from '../open/useDraft';
import { useModel } from '../open/modelStore';
import { TestScript } from '../checks/TestScript';
import { FaceDrawing } from './FaceDrawing';

/** An invented sensor, a little off on every axis, to try the reckoning with. */
const TRIAL = simulateSixFace([1.012, 0.988, 1.004], [0.021, -0.034, 0.012]);

/** Six faces, one after another: which is next, why it waits, and what the readings come to. */
export function CalibrationStation() {
  const setup = useModel((s) => s.setup);
  const evidence = useModel((s) => s.evidence);
  const pinsAt = setup.unit.traits.pinsAt ?? USUAL_PINS;
  const id = useModel((s) => s.id);
  const [session, setSession] = useDraft(`faces:${id}`, FACES_BEGUN);
  const { at, face, done, waits, canTakeBack } = facesAsked(session);
  if (!wantsSixFaces(setup))
    return (
      <p className="card max-w-2xl text-lg">
        This unit asks for no calibration of its sensor. If yours needs six faces, set that in its
        traits at <em>Unit</em>, and they are drawn here.
      </p>
    );
  return (
    <div className="grid gap-4 @4xl:grid-cols-[1fr_24rem]">
      <div className="flex min-w-0 flex-col gap-4">
        <section className="card" aria-labelledby="face-title">
          <p className="text-soft text-sm" aria-live="polite">
            {done ? 'All six faces accepted' : `Face ${at + 1} of ${FACES.length}`}
          </p>
          <div className="grid items-center gap-4 @lg:grid-cols-[1fr_15rem]">
            <div>
              <h2 id="face-title" className="text-2xl font-bold">
                Lay it {faceWords(face, pinsAt)}.
              </h2>
              <p className="mt-2">
                Against something square, and quite still, until the unit goes on.
              </p>
              {waits && (
                <p className="border-caution mt-2 border-l-4 pl-3" role="status">
                  It feels a different face from the one it expects. Look at the arrow and at the
                  end with the pins: pictures often call the other end the front. Try the opposite
                  face; if it shows its values, enter them beside: they show which face it felt.
                </p>
              )}
            </div>
            <FaceDrawing face={face} pinsAt={pinsAt} />
          </div>
          <div className="mt-3 flex flex-wrap gap-2">
            <button
              type="button"
              className="btn btn-main"
              disabled={done}
              onClick={() => setSession(faceAccepted(session))}
            >
              {at === FACES.length - 1 ? 'Accepted, that was the last' : 'Accepted, next face'}
            </button>
            <button
              type="button"
              className="btn"
              disabled={done}
              aria-pressed={waits}
              onClick={() => setSession(faceWaits(session))}
            >
              Not accepted
            </button>
            <button
              type="button"
              className="btn"
              disabled={!canTakeBack}
              onClick={() => setSession(faceBefore(session))}
            >
              back
            </button>
          </div>
          <ol className="mt-3 grid gap-1 @lg:grid-cols-2">
            {FACES.map((f, i) => (
              <li key={f}>
                <button
                  type="button"
                  aria-current={i === at ? 'step' : undefined}
                  className={`min-h-11 w-full rounded px-2 text-left ${i === at ? 'bg-(--shade) font-semibold' : ''}`}
                  onClick={() => setSession(showFace(session, i))}
                >
                  {i + 1}. {faceWords(f, pinsAt)}
                  {session.accepted.includes(i) && <span className="text-soft"> · accepted</span>}
                </button>
              </li>
            ))}
          </ol>
        </section>
        <TestScript title="Before it is fitted" steps={checklist(setup, evidence, 'calibration')} />
      </div>
      <Readings />
    </div>
  );
}

/** Six readings typed, pasted or simulated, and what they say. */
function Readings() {
  const pinsAt = useModel((s) => s.setup.unit.traits.pinsAt);
  const [text, setText] = useState('');
  const parsed = text.trim() === '' ? undefined : readSixFace(text);
  const readings = parsed?.ok ? parsed.readings : undefined;
  const problems = readings ? orderProblems(readings, pinsAt) : [];
  const found = readings && problems.length === 0 ? sixFace(readings) : undefined;
  const write = (list: readonly Vector3[]) =>
    setText(list.map((r) => r.map((v) => v.toFixed(3)).join('  ')).join('\n'));
  return (
    <aside className="card flex flex-col gap-3" aria-labelledby="readings-title">
      <h2 id="readings-title" className="text-lg font-bold">
        The readings, if it shows them
      </h2>
      <label className="text-sm font-semibold">
        Along the arrow, to its right, out of its underside; in g, a line for each face, in the
        order of the list
        <textarea
          className="field font-num mt-1 h-40 font-normal"
          value={text}
          spellCheck={false}
          onChange={(e) => setText(e.target.value)}
        />
      </label>
      <div className="flex flex-wrap gap-2">
        <button type="button" className="btn" onClick={() => write(TRIAL)}>
          Try with an invented sensor
        </button>
        <button
          type="button"
          className="btn"
          onClick={() => write(TRIAL.map((_, i) => TRIAL[i < 4 ? i : 9 - i]!))}
        >
          … shown end for end
        </button>
      </div>
      {parsed && !parsed.ok && (
        <p role="alert" className="text-stop">
          Line {parsed.line}: {parsed.reason}.
        </p>
      )}
      {readings && problems.length > 0 && (
        <ul role="alert" className="flex flex-col gap-2">
          {problems.map((p) => (
            <li key={p.face} className="border-stop border-l-4 pl-2">
              <strong>{FACES.indexOf(p.face) + 1}.</strong> {p.reason}
            </li>
          ))}
        </ul>
      )}
      {found && (
        <div role="status">
          <table className="w-full">
            <thead className="text-soft text-left text-sm">
              <tr>
                <th scope="col">Axis</th>
                <th scope="col" className="text-right">
                  scale
                </th>
                <th scope="col" className="text-right">
                  bias
                </th>
              </tr>
            </thead>
            <tbody>
              {['along the arrow', 'to its right', 'underside'].map((name, i) => (
                <tr key={name} className="border-t border-(--card-edge)">
                  <th scope="row" className="py-1 text-left font-normal">
                    {name}
                  </th>
                  <td className="num text-right">{found.scale[i]!.toFixed(3)}</td>
                  <td className="num text-right">{found.biasG[i]!.toFixed(3)} g</td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="mt-2">
            Left over after correcting:{' '}
            <strong className="num">{found.residualG.toFixed(3)} g</strong>
            {found.residualG > 0.02 ? ': too much, read again, squarely.' : ', good.'} The faces are
            square to each other within <strong className="num">{found.leanDeg.toFixed(1)}°</strong>
            {found.leanDeg > SQUARE_DEG
              ? ': one of them leaned. Read again, held against something square.'
              : ', good.'}{' '}
            Uncorrected, its idea of level would be off by{' '}
            <strong className="num">{found.levelErrorDeg.toFixed(1)}°</strong>.
          </p>
        </div>
      )}
      <p className="text-soft text-sm">
        {readings && problems.length === 0
          ? `Faces as felt: ${readings.map((r) => faceOf(r).face).join(', ')}.`
          : 'Scale and bias come from pairs of opposite faces (six-position static test, IEEE Std 1293).'}
      </p>
    </aside>
  );
}
