'use client';

import { combinations, flapPlaces } from '@/core/plan';
import { NumberField } from '../fields/NumberField';
import { ControlSelect, SWITCHES, TURNABLE } from './ControlSelect';
import type { Wishing } from './useWishes';

/** Flaps and gear: by which control, and how far down in each position. */
export function DeviceWishes({ setup, wishes, wish }: Wishing) {
  const { flaps, gear } = wishes;
  const has = (...functions: string[]) =>
    setup.program.outputs.some((o) => functions.includes(o.carries));
  const flapped = has('flap', 'flaperon-left');
  if (!flapped && !has('gear'))
    return <p className="text-soft">This model has neither flaps nor gear on a channel.</p>;
  const kind = setup.transmitter.controls.find((c) => c.id === flaps?.control)?.kind;
  const places =
    flaps && kind && SWITCHES.includes(kind)
      ? combinations(setup, [flaps.control]).map((c) => c.words)
      : ['lever away from you', 'lever towards you'];
  return (
    <div className="grid items-end gap-2 sm:grid-cols-3">
      {flapped && (
        <ControlSelect
          label="Flaps by"
          setup={setup}
          kinds={[...SWITCHES, ...TURNABLE]}
          value={flaps?.control}
          onChange={(control) => {
            const count = flapPlaces(setup, control);
            const downPct = count === 3 ? [0, 50, 100] : [0, 100];
            wish({ ...wishes, flaps: { control, downPct } }, 'Flap control chosen');
          }}
        />
      )}
      {flaps &&
        places.map((words, i) => (
          <NumberField
            key={words}
            label={`${words}: flaps down`}
            unit="%"
            at="/intents/program/flaps/downPct/0"
            value={flaps.downPct[i]!}
            onCommit={(v) => {
              const downPct = flaps.downPct.map((p, j) => (j === i ? v : p));
              wish({ ...wishes, flaps: { ...flaps, downPct } }, `${words}: flaps ${v} % down`);
              return undefined;
            }}
          />
        ))}
      {has('gear') && (
        <ControlSelect
          label="Gear by"
          setup={setup}
          kinds={[...SWITCHES, ...TURNABLE]}
          value={gear?.control}
          onChange={(control) => wish({ ...wishes, gear: { control } }, 'Gear control chosen')}
        />
      )}
    </div>
  );
}
