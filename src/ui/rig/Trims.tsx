'use client';

import { useRig } from './rigStore';

/** The trim levers, which the small front leaves out. */
export function Trims() {
  const controls = useRig((s) => s.setup.transmitter.controls);
  const values = useRig((s) => s.controls);
  const setControl = useRig((s) => s.setControl);
  return controls
    .filter((c) => c.kind === 'trim')
    .map((c) => (
      <label key={c.id} className="text-sm">
        {c.label} <span className="num">{(values[c.id] ?? c.rest).toFixed(0)} %</span>
        <input
          type="range"
          min={-100}
          max={100}
          value={values[c.id] ?? c.rest}
          onChange={(e) => setControl(c.id, Number(e.target.value))}
          className="block h-8 w-32 accent-(--accent)"
        />
      </label>
    ));
}
