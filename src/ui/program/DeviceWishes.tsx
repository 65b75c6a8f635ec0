'use client';

import { combinations, flapPlaces } from '@/core/plan';
import { NumberField } from '../fields/NumberField';
import { ControlSelect, PRESSABLE, SWITCHES, TURNABLE } from './ControlSelect';
import type { Wishing } from './useWishes';

/** Flaps and gear: by which control, and how far down in each position. */
export function DeviceWishes({ setup, wishes, wish }: Wishing) {
  const { flaps, gear, brake, capture } = wishes;
  const has = (...functions: string[]) =>
    setup.program.outputs.some((o) => functions.includes(o.carries));
  const flapped = has('flap', 'flaperon-left');
  if (!flapped && !has('gear', 'brake', 'capture'))
    return <p className="text-soft">This model has no flaps, gear or wheel brake on a channel.</p>;
  const kind = setup.transmitter.controls.find((c) => c.id === flaps?.control)?.kind;
  const places =
    flaps && kind && SWITCHES.includes(kind)
      ? combinations(setup, [flaps.control]).map((c) => c.words)
      : ['lever away from you', 'lever towards you'];
  return (
    <div className="grid items-end gap-2 @lg:grid-cols-3">
      {flapped && (
        <ControlSelect
          label="Flaps by"
          setup={setup}
          kinds={[...SWITCHES, ...TURNABLE]}
          value={flaps?.control}
          onChange={(control) => {
            const count = flapPlaces(setup, control);
            const downPct = count === 3 ? [0, 50, 100] : [0, 100];
            wish({ ...wishes, flaps: { ...flaps, control, downPct } }, 'Flap control chosen');
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
      {flaps && has('flap') && (
        <NumberField
          label="from up to down in"
          unit="s"
          at="/intents/program/flaps/seconds"
          step={0.5}
          value={flaps.seconds ?? 0}
          onCommit={(seconds) => {
            wish({ ...wishes, flaps: { ...flaps, seconds } }, `Flaps take ${seconds} s`);
            return undefined;
          }}
        />
      )}
      {has('brake') && (
        <ControlSelect
          label="Wheel brake by"
          setup={setup}
          kinds={PRESSABLE}
          value={brake?.control}
          onChange={(control) => wish({ ...wishes, brake: { control } }, 'Brake control chosen')}
        />
      )}
      {has('capture') && (
        <ControlSelect
          label="Capture channel by"
          setup={setup}
          kinds={PRESSABLE}
          value={capture?.control}
          onChange={(control) =>
            wish({ ...wishes, capture: { control } }, 'Control of the capture channel')
          }
        />
      )}
      {has('gear') && (
        <ControlSelect
          label="Gear by"
          setup={setup}
          kinds={[...SWITCHES, ...TURNABLE]}
          value={gear?.control}
          onChange={(control) =>
            wish({ ...wishes, gear: { ...gear, control } }, 'Gear control chosen')
          }
        />
      )}
    </div>
  );
}
