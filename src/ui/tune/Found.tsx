'use client';

import { useState } from 'react';
import { SWITCHES, gainKnobOf, positionsOfSwitches } from '@/core/plan';
import { MARGIN, gainAtSpeed, gainOfReading } from '@/core/tuning';
import { NumberField } from '../fields/NumberField';
import { ControlWord } from '../program/ControlWord';
import { useWishes } from '../program/useWishes';
import { WhatElse } from '../program/WhatElse';
import { Measured } from '../measure/Measured';
import { Section } from '../parts/Section';

/** From what the monitor showed to fixed values on a switch. */
export function Found() {
  const wishing = useWishes();
  const { setup, wishes, wish } = wishing;
  const { cruiseMps, approachMps } = setup.airframe.measures;
  const knob = gainKnobOf(setup);
  // Nothing read yet stands for no gain.
  const [shook, setShook] = useState(gainOfReading(setup, -100) === 0 ? -100 : 0);
  const atShake = gainOfReading(setup, shook) ?? 0;
  const [fastPct, setFast] = useState<number>();
  const [slowPct, setSlow] = useState<number>();
  const fast = fastPct ?? Math.round(atShake * MARGIN);
  const slow = slowPct ?? Math.round(gainAtSpeed(fast, cruiseMps, approachMps));
  const [control, setControl] = useState('');
  const count = control ? positionsOfSwitches(setup, [control]) : 3;
  const pct = count === 3 ? [0, fast, slow] : [0, fast];
  return (
    <Section title="What you found" className="card flex flex-col gap-3">
      <div className="grid grid-cols-2 items-end gap-2">
        <NumberField
          label="monitor where it shook"
          unit="%"
          min={-150}
          max={150}
          value={shook}
          onCommit={setShook}
        />
        <p role="status">
          is <strong className="num">{atShake.toFixed(0)} %</strong> of the unit’s gain
        </p>
        <NumberField
          label="gain for fast"
          unit="%"
          min={0}
          max={100}
          value={fast}
          onCommit={setFast}
        />
        <NumberField
          label="gain for slow"
          unit="%"
          min={0}
          max={100}
          value={slow}
          onCommit={setSlow}
        />
      </div>
      <p className="text-soft text-sm">
        Half of where it shook is the usual margin (6 dB, MIL-F-9490D). What a model bears falls
        with the square of its speed: from <Measured value={cruiseMps} unit="m/s" /> to{' '}
        <Measured value={approachMps} unit="m/s" /> that is{' '}
        {gainAtSpeed(10, cruiseMps, approachMps) >= 99
          ? 'more than ten times'
          : `${(gainAtSpeed(10, cruiseMps, approachMps) / 10).toFixed(1)} times`}
        , full gain at the most (common practice, no source). Try it before you believe it.
      </p>
      {knob ? (
        <>
          <p className="text-lg">
            Take it off {knob.control.label} and put it on{' '}
            <ControlWord
              label={`From ${knob.control.label} to a switch`}
              setup={setup}
              kinds={SWITCHES}
              value={control || undefined}
              none="a free switch"
              onPick={(id) => setControl(id ?? '')}
            />
            .
          </p>
          <button
            type="button"
            className="btn btn-main"
            disabled={!control || fast === 0}
            onClick={() =>
              wish(
                { ...wishes, gain: { by: 'values', control, pct } },
                `Gain locked in: ${pct.map((p) => `${p} %`).join(', ')}`,
              )
            }
          >
            {fast === 0
              ? 'Enter the gain where it shook first'
              : `Lock in: ${pct.map((p) => (p === 0 ? 'off' : `${p} %`)).join(', ')}`}
          </button>
          <WhatElse {...wishing} />
          <p className="text-soft text-sm">
            Far position first. Afterwards enter the new lines, read every position back, and try
            the fixed values.
          </p>
        </>
      ) : (
        <p>The gain is on fixed values already: nothing can bump it.</p>
      )}
    </Section>
  );
}
