'use client';

import Link from 'next/link';
import { useState } from 'react';
import { bankOfDrift, levels, pitchLowBy, pitchOn, wedgeFor } from '@/core/level';
import { tests } from '@/core/logbook';
import { measureTaken, pointer } from '@/core/setup';
import { NumberField } from '../fields/NumberField';
import { FindingsOf } from '../findings/Findings';
import { useModel } from '../frame/modelStore';
import { Assumed } from '../model/Assumed';
import { TestScript } from '../recovery/TestScript';
import { StanceDrawing } from './StanceDrawing';
import { Measured } from '../measure/Measured';

/** What counts as level: how to lay the model for the capture, and how to mend it from flight. */
export function LevelStation() {
  const setup = useModel((s) => s.setup);
  const evidence = useModel((s) => s.evidence);
  if (!levels(setup))
    return (
      <p className="card max-w-2xl text-lg">
        This unit damps and does not level: there is no level to teach it.
      </p>
    );
  return (
    <div className="grid gap-4 @4xl:grid-cols-2">
      <div className="flex min-w-0 flex-col gap-4">
        <Bench />
        <FindingsOf step="level" />
        <TestScript title="Capture it" steps={tests(setup, evidence, 'level')} />
      </div>
      <div className="flex flex-col gap-4">
        <FromFlight />
        <Limits />
      </div>
    </div>
  );
}

/** From the attitude it flies at to a block under one end. */
function Bench() {
  const setup = useModel((s) => s.setup);
  const edit = useModel((s) => s.edit);
  const observe = useModel((s) => s.observe);
  const { measures } = setup.airframe;
  const { wheelbaseMm, standingPitchDeg, flyingPitchDeg, stance } = measures;
  const { levelCapture } = setup.installation;
  const wedge = wedgeFor(wheelbaseMm, standingPitchDeg, flyingPitchDeg);
  const [measured, setMeasured] = useState<number>();
  const height = measured ?? Math.round(wedge.heightMm);
  const got =
    wedge.under === 'nothing'
      ? standingPitchDeg
      : pitchOn(wheelbaseMm, standingPitchDeg, wedge.under, height);
  const off = got - flyingPitchDeg;
  const measure = (
    field: 'wheelbaseMm' | 'standingPitchDeg' | 'flyingPitchDeg',
    label: string,
    unit: string,
    step: number,
  ) => (
    <div>
      <NumberField
        label={label}
        unit={unit}
        at={`/airframe/measures/${field}`}
        step={step}
        value={measures[field]}
        onCommit={(v) =>
          edit(measureTaken(setup.airframe, field, v), `${label}: ${v} ${unit}`)[0]?.reason
        }
      />
      <Assumed measure={field} words={label} />
    </div>
  );
  return (
    <section className="card flex flex-col gap-3" aria-labelledby="bench-title">
      <h2 id="bench-title" className="text-lg font-bold">
        Lay it as it flies, not as it stands
      </h2>
      <div className="grid grid-cols-2 items-end gap-2 @lg:grid-cols-3">
        {measure('wheelbaseMm', 'between supports', 'mm', 5)}
        {measure('standingPitchDeg', 'stands nose up by', '°', 0.5)}
        {measure('flyingPitchDeg', 'flies nose up by', '°', 0.5)}
      </div>
      <StanceDrawing
        standingDeg={standingPitchDeg}
        flyingDeg={flyingPitchDeg}
        under={wedge.under}
        heightMm={wedge.heightMm}
      />
      <p className="text-lg">
        {wedge.under === 'nothing' ? (
          'It stands as it flies: nothing goes under it.'
        ) : (
          <>
            Put{' '}
            <strong className="num">
              <Measured value={wedge.heightMm} unit="mm" />
            </strong>{' '}
            under the <strong>{wedge.under}</strong>, wings level across, and capture.
          </>
        )}
      </p>
      {wedge.under !== 'nothing' && (
        <div className="grid items-end gap-2 @lg:grid-cols-[10rem_1fr]">
          <NumberField
            label="the block you have"
            unit="mm"
            min={0}
            max={Math.floor(wheelbaseMm * 0.9)}
            value={height}
            onCommit={(v) => {
              setMeasured(v);
              return undefined;
            }}
          />
          <p role="status" className={Math.abs(off) > 1 ? 'text-stop font-semibold' : ''}>
            lays it at {got.toFixed(1)}° nose up:{' '}
            {Math.abs(off) <= 1
              ? 'within 1°, good'
              : `${Math.abs(off).toFixed(1)}° too ${off > 0 ? 'high' : 'low'}; 1° is ${wedge.mmPerDeg.toFixed(0)} mm`}
          </p>
        </div>
      )}
      <div className="flex flex-wrap items-center gap-3">
        <button
          type="button"
          className="btn"
          onClick={() => {
            edit(
              [
                {
                  op: 'add',
                  path: '/installation/levelCapture',
                  value: { pitchDeg: Math.round(got * 2) / 2 },
                },
              ],
              `Level captured at ${got.toFixed(1)}° nose up`,
            );
            // What is written down has been done: it is the evidence, and not asked a second time.
            void observe(
              'test:level',
              'capture',
              Math.abs(off) <= 1 ? 'pass' : 'fail',
              'Level captured',
            );
          }}
        >
          Write down: captured at {got.toFixed(1)}°
        </button>
        <span className="text-soft text-sm">
          {levelCapture
            ? `Written down: captured at ${levelCapture.pitchDeg}° nose up.`
            : 'No capture is written down yet.'}
        </span>
      </div>
      <p className="text-soft text-sm">
        {stance === 'tail-wheel' || stance === 'skis'
          ? 'On its tail it stands nose-high: captured like that, it would fly nose-high in self-levelling, slow down and sink. '
          : stance === 'floats' || stance === 'hull'
            ? 'Measure the supports along the keel, where the blocks go. '
            : ''}
        Most models fly about 5° nose up at the speed they level at; some leaflets say flat, one
        says 20° (common practice, no source). Your own flight is the better measure.
      </p>
    </section>
  );
}

/** "It sinks", "it drifts": what that says about the capture. */
function FromFlight() {
  const setup = useModel((s) => s.setup);
  const edit = useModel((s) => s.edit);
  const { measures } = setup.airframe;
  const { levelOffsetDeg } = setup.unit.settings;
  const [speed, setSpeed] = useState(measures.cruiseMps);
  const [sink, setSink] = useState(0);
  const [turn, setTurn] = useState(0);
  const pitch = Math.round(pitchLowBy(sink, speed) * 2) / 2;
  const bank = Math.round(bankOfDrift(turn, speed) * 2) / 2;
  const own = (set: (v: number) => void) => (v: number) => {
    set(v);
    return undefined;
  };
  return (
    <section className="card flex flex-col gap-3" aria-labelledby="flight-title">
      <h2 id="flight-title" className="text-lg font-bold">
        From what it did in the air
      </h2>
      <div className="grid grid-cols-3 items-end gap-2">
        <NumberField
          label="at"
          unit="m/s"
          min={2}
          max={120}
          value={speed}
          onCommit={own(setSpeed)}
        />
        <NumberField
          label="sinks by"
          unit="m/s"
          min={-10}
          max={10}
          step={0.1}
          value={sink}
          onCommit={own(setSink)}
        />
        <NumberField
          label="turns right by"
          unit="°/s"
          min={-40}
          max={40}
          step={0.5}
          value={turn}
          onCommit={own(setTurn)}
        />
      </div>
      {pitch !== 0 && (
        <div>
          <p>
            In self-levelling it {pitch > 0 ? 'sinks' : 'climbs'}: level was captured about{' '}
            <strong className="num">{Math.abs(pitch).toFixed(1)}°</strong> too{' '}
            {pitch > 0 ? 'low' : 'high'} (asin of sink over speed). Capture again{' '}
            {Math.abs(pitch).toFixed(1)}° {pitch > 0 ? 'higher' : 'lower'}.
          </p>
          <button
            type="button"
            className="btn mt-1"
            onClick={() => {
              const value = measures.flyingPitchDeg + pitch;
              const problems = edit(
                measureTaken(setup.airframe, 'flyingPitchDeg', value),
                `Flies nose up by ${value}°, from its sink`,
              );
              if (problems.length === 0) setSink(0);
            }}
          >
            It flies {(measures.flyingPitchDeg + pitch).toFixed(1)}° nose up: work out the block
            anew
          </button>
        </div>
      )}
      {bank !== 0 && (
        <div>
          <p>
            Turning {Math.abs(turn)}°/s {turn > 0 ? 'right' : 'left'} is a bank of about{' '}
            <strong className="num">{Math.abs(bank).toFixed(1)}°</strong> that it takes for level.
          </p>
          <button
            type="button"
            className="btn mt-1"
            onClick={() => {
              const value = levelOffsetDeg.roll - bank;
              const problems = edit(
                [{ op: 'replace', path: '/unit/settings/levelOffsetDeg/roll', value }],
                `Level offset in roll ${value}°`,
              );
              if (problems.length === 0) setTurn(0);
            }}
          >
            Set the level offset in roll to {(levelOffsetDeg.roll - bank).toFixed(1)}°
          </button>
        </div>
      )}
      {pitch === 0 && bank === 0 && (
        <p className="text-soft">
          Type what you saw with the sticks let go: by how much it sank or turned. Level offset now:
          roll {levelOffsetDeg.roll}°, pitch {levelOffsetDeg.pitch}°.
        </p>
      )}
    </section>
  );
}

/** How far a stick may ask, and where pitch follows the throttle. */
function Limits() {
  const id = useModel((s) => s.id);
  const setup = useModel((s) => s.setup);
  const edit = useModel((s) => s.edit);
  const { angleLimitsDeg, pitchWithThrottle } = setup.unit.settings;
  const follows = setup.unit.traits.extras.includes('pitch-with-throttle');
  return (
    <section className="card flex flex-col gap-3" aria-labelledby="limits-title">
      <h2 id="limits-title" className="text-lg font-bold">
        How far a stick may ask
      </h2>
      <div className="grid grid-cols-3 items-end gap-2">
        {(
          [
            ['roll', 'bank'],
            ['pitchUp', 'nose up'],
            ['pitchDown', 'nose down'],
          ] as const
        ).map(([field, label]) => (
          <NumberField
            key={field}
            label={label}
            unit="°"
            at={`/unit/settings/angleLimitsDeg/${field}`}
            value={angleLimitsDeg[field]}
            onCommit={(v) =>
              edit(
                [
                  {
                    op: 'replace',
                    path: pointer('unit', 'settings', 'angleLimitsDeg', field),
                    value: v,
                  },
                ],
                `Angle limit, ${label}: ${v}°`,
              )[0]?.reason
            }
          />
        ))}
      </div>
      <p className="text-soft text-sm">
        Usual: 60° of bank, 50° up, 40° down; some open them to 70, 60, 60 (common practice, no
        source). At 60° of bank a level turn weighs twice the model.
      </p>
      {follows && (
        <p>
          {pitchWithThrottle
            ? `Pitch follows the throttle: ${pitchWithThrottle.fullThrottlePitchDeg}° at full, ${pitchWithThrottle.idlePitchDeg}° at idle.`
            : 'Pitch can follow the throttle on this unit, and does not.'}{' '}
          <Link className="underline" href={`/models/${id}/panic`}>
            Set it beside panic
          </Link>
        </p>
      )}
    </section>
  );
}
