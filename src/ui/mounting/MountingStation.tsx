'use client';

import { useRef, useState } from 'react';
import { USUAL_PINS, type PinsAt } from '@/core/calibration';
import { checklist } from '@/core/logbook';
import {
  mountingAdvice,
  mountingChoices,
  mountingSchools,
  nearestMounting,
  seatReport,
} from '@/core/mounting';
import { AXIS_NAMES, AXES, mountingWords, pointer, type Mounting } from '@/core/setup';
import { mountingMatrix, type Matrix3 } from '@/core/space';
import { Choice } from '../fields/Choice';
import { NumberField } from '../fields/NumberField';
import { Fold } from '../parts/Fold';
import { FindingsOf } from '../findings/Findings';
import { useModel } from '../open/modelStore';
import { TestScript } from '../checks/TestScript';
import { LearnedOrientation } from './LearnedOrientation';
import { MountingWords } from './MountingWords';
import { PlainSeat } from './PlainSeat';
import { turnedBy } from './turn';
import { PickWord } from '../parts/PickWord';
import { Section } from '../parts/Section';

/** Degrees a pointer turns the unit by for each pixel. */
const DEG_PER_PX = 0.5;

/** How the unit is fixed, whether it can be, whether it knows, and what its place costs. */
export function MountingStation() {
  const setup = useModel((s) => s.setup);
  const evidence = useModel((s) => s.evidence);
  return (
    <div className="grid gap-4 @4xl:grid-cols-[1fr_26rem]">
      <div className="flex min-w-0 flex-col gap-4">
        <Seat />
        <FindingsOf step="mounting" />
        <TestScript
          title="Compare paper, unit and model"
          steps={checklist(setup, evidence, 'mounting')}
        />
        {setup.unit.traits.orientationLearned && <LearnedOrientation />}
      </div>
      <aside className="flex flex-col gap-4">
        <Place />
        <Section title="When you fix it">
          <ul className="mt-1 list-disc pl-5">
            {mountingAdvice(setup).map((a) => (
              <li key={a}>{a}</li>
            ))}
          </ul>
        </Section>
      </aside>
    </div>
  );
}

/** The unit over the model: turned by hand, or chosen from two lists. */
function Seat() {
  const setup = useModel((s) => s.setup);
  const edit = useModel((s) => s.edit);
  const { traits, settings } = setup.unit;
  const { mounting } = setup.installation;
  const [turning, setTurning] = useState<Matrix3>();
  const drag = useRef<{ x: number; y: number; from: Matrix3 } | undefined>(undefined);
  const sit = (m: Mounting) =>
    edit(
      [{ op: 'replace', path: '/installation/mounting', value: m }],
      `Unit mounted with ${mountingWords(m, setup.airframe)}`,
    );
  const tell = (m: Mounting) =>
    edit(
      [{ op: 'replace', path: '/unit/settings/orientation', value: m }],
      `Orientation set to ${mountingWords(m, setup.airframe)}`,
    );
  const shown = turning ? nearestMounting(turning).mounting : mounting;
  const { refused } = mountingChoices(traits).find((c) => c.mounting === shown)!;
  const seat = {
    airframe: setup.airframe,
    positionMm: setup.installation.positionMm,
    rotation: turning ?? mountingMatrix(mounting),
    pinsAt: traits.pinsAt ?? USUAL_PINS,
  };
  const release = () => {
    if (turning) sit(nearestMounting(turning).mounting);
    drag.current = undefined;
    setTurning(undefined);
  };
  return (
    <Section title="How it sits">
      <div
        data-testid="seat"
        className="relative h-72 cursor-grab touch-none select-none"
        onPointerDown={(e) => {
          e.currentTarget.setPointerCapture(e.pointerId);
          drag.current = { x: e.clientX, y: e.clientY, from: mountingMatrix(mounting) };
        }}
        onPointerMove={(e) => {
          const start = drag.current;
          if (!start) return;
          const across = (e.clientX - start.x) * DEG_PER_PX;
          const down = (e.clientY - start.y) * DEG_PER_PX;
          setTurning(turnedBy(start.from, across, down));
        }}
        onPointerUp={release}
        onPointerCancel={release}
      >
        <PlainSeat {...seat} />
      </div>
      <p className="text-soft text-sm">
        Drag the unit to turn it: it snaps to the nearest of 24 positions. You look along the model
        from behind.
      </p>
      <p className="sr-only" aria-live="polite" data-testid="sits">
        {mountingWords(shown, setup.airframe)}
      </p>
      {refused && (
        <p role="alert" className="text-stop font-semibold">
          This unit cannot be set that way: {refused}.
        </p>
      )}
      <div className="mt-2 flex flex-col gap-1">
        <MountingWords
          label="In the model it is mounted with"
          before="In the model its arrow points"
          value={shown}
          choices={undefined}
          onChange={sit}
        />
        <MountingWords
          label={traits.orientationLearned ? 'The unit has learned' : 'The unit is set to'}
          before={
            traits.orientationLearned ? 'The unit has learned: arrow' : 'The unit is set to: arrow'
          }
          value={settings.orientation}
          choices={traits.orientations}
          onChange={tell}
        />
        <p>
          Its pins are at{' '}
          <PickWord
            label="Its pins are at"
            value={traits.pinsAt ?? USUAL_PINS}
            options={(Object.keys(PINS_WORDS) as PinsAt[]).map((p) => ({
              value: p,
              words: PINS_WORDS[p],
            }))}
            onPick={(p) =>
              edit([{ op: 'add', path: '/unit/traits/pinsAt', value: p }], `Pins: ${PINS_WORDS[p]}`)
            }
          />
          .
        </p>
      </div>
      {mounting !== settings.orientation && (
        <div className="mt-2 flex flex-wrap items-center gap-3">
          <p role="status" className="text-stop font-semibold">
            These two differ: the unit would mistake one movement for another.
          </p>
          {!refused && (
            <button type="button" className="btn btn-main" onClick={() => tell(mounting)}>
              Set its orientation
            </button>
          )}
        </div>
      )}
    </Section>
  );
}

const PINS_WORDS: Record<PinsAt, string> = {
  'far-end': 'the end the arrow points away from',
  'arrow-end': 'the end the arrow points to',
  left: 'its left side, seen along the arrow',
  right: 'its right side, seen along the arrow',
};

/** Where it sits and how square, in numbers, and what the schools make of them. */
function Place() {
  const setup = useModel((s) => s.setup);
  const edit = useModel((s) => s.edit);
  const { positionMm, skewDeg } = setup.installation;
  const report = seatReport(setup);
  return (
    <Section title="Where, and how square" className="card flex flex-col gap-3">
      <div className="grid grid-cols-3 items-end gap-2">
        {(
          [
            ['x', 'ahead of the balance point'],
            ['y', 'to the right of it'],
            ['z', 'below it'],
          ] as const
        ).map(([axis, label]) => (
          <NumberField
            key={axis}
            label={label}
            unit="mm"
            at={`/installation/positionMm/${axis}`}
            step={5}
            value={positionMm[axis]}
            onCommit={(v) =>
              edit(
                [{ op: 'replace', path: pointer('installation', 'positionMm', axis), value: v }],
                `Unit ${v} mm ${label}`,
              )[0]?.reason
            }
          />
        ))}
        {AXES.map((axis) => (
          <NumberField
            key={axis}
            label={`skew, ${AXIS_NAMES[axis]}`}
            unit="°"
            at={`/installation/skewDeg/${axis}`}
            step={0.5}
            value={skewDeg[axis]}
            onCommit={(v) =>
              edit(
                [{ op: 'replace', path: pointer('installation', 'skewDeg', axis), value: v }],
                `Skew in ${AXIS_NAMES[axis]} ${v}°`,
              )[0]?.reason
            }
          />
        ))}
      </div>
      <p className={report.matters ? 'text-stop' : ''}>{report.verdict}</p>
      <Fold title="False tilt in turns, loops and rolls" quiet>
        <table className="w-full text-sm">
          <caption className="sr-only">False tilt from where the unit sits (ω²·r)</caption>
          <tbody>
            {report.figures.map((f) => (
              <tr key={f.when} className="border-t border-(--card-edge)">
                <th scope="row" className="py-1 text-left font-normal">
                  {f.when}
                </th>
                <td className="num text-right">{f.accelerationMps2.toFixed(2)} m/s²</td>
                <td className="num text-right">{f.errorDeg.toFixed(1)}°</td>
              </tr>
            ))}
            {report.leak.map((l) => (
              <tr key={l.axis} className="border-t border-(--card-edge)">
                <th scope="row" className="py-1 text-left font-normal">
                  skewed {l.deg}° about {l.axis}: leaks
                </th>
                <td />
                <td className="num text-right">{(l.share * 100).toFixed(1)} %</td>
              </tr>
            ))}
          </tbody>
        </table>
      </Fold>
      {mountingSchools(setup).map((s) => (
        <div key={s.id}>
          <Choice
            label={s.question}
            value={setup.intents.seat?.[s.id] ?? ''}
            options={s.schools}
            onChange={(school) =>
              edit(
                [
                  {
                    op: 'add',
                    path: '/intents/seat',
                    value: { ...setup.intents.seat, [s.id]: school },
                  },
                ],
                `${s.question} ${s.schools.find(([id]) => id === school)![1]}`,
              )
            }
          />
          {s.says !== report.verdict && <p>{s.says}</p>}
        </div>
      ))}
    </Section>
  );
}
