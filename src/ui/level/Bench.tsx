'use client';

import { testSubject } from '@/core/logbook';
import { useState } from 'react';
import { pitchOn, wedgeFor } from '@/core/level';
import { endWords, kindOf, measureTaken } from '@/core/setup';
import { NumberField } from '../fields/NumberField';
import { useModel } from '../open/modelStore';
import { Assumed } from '../model/Assumed';
import { StanceDrawing } from './StanceDrawing';
import { Measured } from '../measure/Measured';
import { NOSE_UP } from '../words';
import { Section } from '../parts/Section';

/** From the attitude it flies at to a block under one end. */
export function Bench() {
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
    <Section title="Lay it as it flies, not as it stands" className="card flex flex-col gap-3">
      <div className="grid grid-cols-2 items-end gap-2 @lg:grid-cols-3">
        {measure('wheelbaseMm', 'between supports', 'mm', 5)}
        {measure('standingPitchDeg', NOSE_UP.standingPitchDeg, '°', 0.5)}
        {measure('flyingPitchDeg', NOSE_UP.flyingPitchDeg, '°', 0.5)}
      </div>
      <StanceDrawing
        standingDeg={standingPitchDeg}
        flyingDeg={flyingPitchDeg}
        under={wedge.under}
        underWords={endWords(wedge.under, kindOf(setup.airframe))}
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
            under the <strong>{endWords(wedge.under, kindOf(setup.airframe))}</strong>, wings level
            across, and capture.
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
            onCommit={setMeasured}
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
              testSubject({ test: 'level', item: 'capture' }),
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
    </Section>
  );
}
