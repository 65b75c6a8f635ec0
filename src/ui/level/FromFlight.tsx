'use client';

import { useState } from 'react';
import { bankOfDrift, pitchLowBy } from '@/core/level';
import { measureTaken } from '@/core/setup';
import { NumberField } from '../fields/NumberField';
import { useModel } from '../open/modelStore';
import { Section } from '../parts/Section';

/** "It sinks", "it drifts": what that says about the capture. */
export function FromFlight() {
  const setup = useModel((s) => s.setup);
  const edit = useModel((s) => s.edit);
  const { measures } = setup.airframe;
  const { levelOffsetDeg } = setup.unit.settings;
  const [speed, setSpeed] = useState(measures.cruiseMps);
  const [sink, setSink] = useState(0);
  const [turn, setTurn] = useState(0);
  const pitch = Math.round(pitchLowBy(sink, speed) * 2) / 2;
  const bank = Math.round(bankOfDrift(turn, speed) * 2) / 2;
  return (
    <Section title="From what it did in the air" className="card flex flex-col gap-3">
      <div className="grid grid-cols-3 items-end gap-2">
        <NumberField label="at" unit="m/s" min={2} max={120} value={speed} onCommit={setSpeed} />
        <NumberField
          label="sinks by"
          unit="m/s"
          min={-10}
          max={10}
          step={0.1}
          value={sink}
          onCommit={setSink}
        />
        <NumberField
          label="turns right by"
          unit="°/s"
          min={-40}
          max={40}
          step={0.5}
          value={turn}
          onCommit={setTurn}
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
            It flies {(measures.flyingPitchDeg + pitch).toFixed(1)}° nose up: recalculate the block
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
          Type what you saw with the sticks released: by how much it sank or turned. Level offset
          now: roll {levelOffsetDeg.roll}°, pitch {levelOffsetDeg.pitch}°.
        </p>
      )}
    </Section>
  );
}
