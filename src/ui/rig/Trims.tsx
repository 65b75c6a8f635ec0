'use client';

import { Slider } from '../fields/Slider';
import { useRig } from '../live/rigStore';

/** The trim levers, which the small front leaves out. */
export function Trims() {
  const controls = useRig((s) => s.setup.transmitter.controls);
  const values = useRig((s) => s.controls);
  const setControl = useRig((s) => s.setControl);
  return controls
    .filter((c) => c.kind === 'trim')
    .map((c) => (
      <div key={c.id} className="text-sm">
        {c.label} <span className="num">{(values[c.id] ?? c.rest).toFixed(0)} %</span>
        <Slider
          label={c.label}
          centred
          value={values[c.id] ?? c.rest}
          onChange={(v) => setControl(c.id, v)}
          className="h-8 w-32 pointer-coarse:h-11"
        />
      </div>
    ));
}
