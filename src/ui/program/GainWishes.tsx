'use client';

import { GAIN_CHOICES, combinations, positionsOfSwitches } from '@/core/plan';
import { AXES, type GainWish, type Setup } from '@/core/setup';
import { NumberField } from '../fields/NumberField';
import { AXIS_WORDS } from '../unit/words';
import { Choice } from '../fields/Choice';
import { ControlSelect, PRESSABLE, SWITCHES, TURNABLE } from './ControlSelect';
import type { Wishing } from './useWishes';
import { Select } from '../parts/Select';

const idOf = (setup: Setup, kinds: readonly string[], not: readonly (string | undefined)[] = []) =>
  setup.transmitter.controls.find((c) => kinds.includes(c.kind) && !not.includes(c.id))?.id ?? '';

/** A first answer for each way, from what the transmitter has. */
function usual(setup: Setup, by: GainWish['by'], used: readonly (string | undefined)[]): GainWish {
  const three = idOf(setup, ['switch-3'], used) || idOf(setup, ['switch-2'], used);
  const count = three ? positionsOfSwitches(setup, [three]) : 3;
  switch (by) {
    case 'knob':
      return { by, control: idOf(setup, TURNABLE) };
    case 'values':
      return { by, control: three, pct: [0, 35, 55].slice(0, count) };
    case 'flap': {
      const off = idOf(setup, ['switch-2'], [...used, three]);
      return { by, control: three, pct: [40, 50, 60].slice(0, count), off, offPositions: [1] };
    }
    case 'axes':
      return { by, roll: idOf(setup, TURNABLE) };
    case 'sets':
      return { by, control: three, knob: idOf(setup, TURNABLE), pct: 50 };
    case 'fixed':
      return { by, pct: 40 };
  }
}

type FlapGain = Extract<GainWish, { by: 'flap' }>;

/** Which positions of the master switch turn the gain off: one, or two of three. */
function OffPositions({
  setup,
  gain,
  put,
}: {
  setup: Setup;
  gain: FlapGain;
  put: (next: GainWish, label: string) => void;
}) {
  const places = combinations(setup, [gain.off]);
  return (
    <fieldset>
      <legend className="text-sm font-semibold">Off in</legend>
      <div className="flex flex-wrap gap-1">
        {places.map(({ words }, i) => {
          const off = gain.offPositions.includes(i);
          const next = off ? gain.offPositions.filter((p) => p !== i) : [...gain.offPositions, i];
          return (
            <button
              key={words}
              type="button"
              className="btn aria-pressed:bg-ink aria-pressed:text-card"
              aria-pressed={off}
              disabled={next.length === 0 || next.length === places.length}
              onClick={() => put({ ...gain, offPositions: next.toSorted() }, `Gain off: ${words}`)}
            >
              {words}
            </button>
          );
        })}
      </div>
    </fieldset>
  );
}

/** By what hand the gain is set, and the values. */
export function GainWishes({ setup, wishes, wish }: Wishing) {
  const { gainLaw } = setup.unit.traits;
  if (gainLaw === 'fixed')
    return (
      <p className="text-soft">This unit has no gain channel: set its gain on the unit itself.</p>
    );
  const ways = (Object.keys(GAIN_CHOICES) as GainWish['by'][]).filter(
    (by) =>
      (by !== 'sets' || gainLaw === 'sign-selects-set') &&
      (by !== 'axes' || setup.unit.traits.axisGains),
  );
  const { gain } = wishes;
  const put = (next: GainWish, label: string) => wish({ ...wishes, gain: next }, label);
  const shares = (control: string, pct: readonly number[], change: (pct: number[]) => GainWish) =>
    combinations(setup, [control]).map(({ words }, i) => (
      <NumberField
        key={words}
        label={words}
        unit="%"
        at="/intents/program/gain/pct"
        value={pct[i] ?? 0}
        onCommit={(v) => {
          put(change(pct.map((p, j) => (j === i ? v : p))), `${words}: gain ${v} %`);
          return undefined;
        }}
      />
    ));
  const resized = (id: string, pct: readonly number[]) =>
    Array.from({ length: positionsOfSwitches(setup, [id]) }, (_, i) => pct[i] ?? pct.at(-1) ?? 40);
  return (
    <div className="flex flex-col gap-3">
      <label className="text-sm font-semibold">
        Set by
        <Select
          value={gain?.by ?? ''}
          onChange={(e) =>
            put(
              usual(setup, e.target.value as GainWish['by'], [
                ...(wishes.modes?.switches ?? []),
                wishes.cut?.control,
                wishes.panic?.control,
                wishes.launch?.control,
              ]),
              `Gain: ${GAIN_CHOICES[e.target.value as GainWish['by']].title}`,
            )
          }
        >
          {!gain && <option value="">nothing yet</option>}
          {ways.map((by) => (
            <option key={by} value={by}>
              {GAIN_CHOICES[by].title}
            </option>
          ))}
        </Select>
      </label>
      <div className="grid items-end gap-2 @lg:grid-cols-3">
        {gain?.by === 'knob' && (
          <ControlSelect
            label="Knob"
            setup={setup}
            kinds={TURNABLE}
            value={gain.control}
            onChange={(control) => put({ ...gain, control }, 'Gain knob')}
          />
        )}
        {gain?.by === 'knob' && gainLaw === 'sign-selects-set' && (
          <Choice
            label="The middle of the knob"
            value={gain.middleOff ? 'off' : 'half'}
            options={[
              ['half', 'half the gain of one set'],
              ['off', 'off, with a set on each side'],
            ]}
            onChange={(v) => {
              const { middleOff: _, ...rest } = gain;
              put(v === 'off' ? { ...rest, middleOff: true } : rest, 'Middle of the gain knob');
            }}
          />
        )}
        {gain?.by === 'flap' && gain.off !== '' && (
          <OffPositions setup={setup} gain={gain} put={put} />
        )}
        {gain?.by === 'fixed' && (
          <NumberField
            label="gain"
            unit="%"
            at="/intents/program/gain/pct"
            value={gain.pct}
            onCommit={(pct) => {
              put({ ...gain, pct }, `Gain ${pct} %`);
              return undefined;
            }}
          />
        )}
        {(gain?.by === 'values' || gain?.by === 'flap') && (
          <ControlSelect
            label={gain.by === 'flap' ? 'Flap switch' : 'Switch'}
            setup={setup}
            kinds={SWITCHES}
            value={gain.control}
            onChange={(control) =>
              put({ ...gain, control, pct: resized(control, gain.pct) }, 'Gain switch')
            }
          />
        )}
        {gain?.by === 'flap' && (
          <ControlSelect
            label="Master off by"
            setup={setup}
            kinds={PRESSABLE}
            value={gain.off}
            onChange={(off) =>
              put(
                { ...gain, off, offPositions: [positionsOfSwitches(setup, [off]) - 1] },
                'Master off of the gain',
              )
            }
          />
        )}
        {(gain?.by === 'values' || gain?.by === 'flap') &&
          gain.control !== '' &&
          shares(gain.control, gain.pct, (pct) => ({ ...gain, pct }))}
        {gain?.by === 'sets' && (
          <>
            <ControlSelect
              label="Side chosen by"
              setup={setup}
              kinds={SWITCHES}
              value={gain.control}
              onChange={(control) => put({ ...gain, control }, 'Switch of the gain sets')}
            />
            <ControlSelect
              label="Amount by"
              setup={setup}
              kinds={TURNABLE}
              value={gain.knob}
              none="a fixed value"
              onChange={(knob) => {
                const { knob: _, ...rest } = gain;
                put(knob ? { ...rest, knob } : rest, 'Knob of the gain sets');
              }}
            />
            {!gain.knob && (
              <NumberField
                label="amount"
                unit="%"
                at="/intents/program/gain/pct"
                value={gain.pct}
                onCommit={(pct) => {
                  put({ ...gain, pct }, `Gain ${pct} %`);
                  return undefined;
                }}
              />
            )}
          </>
        )}
        {gain?.by === 'axes' &&
          AXES.map((axis) => (
            <ControlSelect
              key={axis}
              label={AXIS_WORDS[axis]}
              setup={setup}
              kinds={TURNABLE}
              value={gain[axis]}
              none="by the master gain"
              onChange={(id) => {
                const { [axis]: _, ...rest } = gain;
                put(id ? { ...rest, [axis]: id } : rest, `Gain of ${axis}`);
              }}
            />
          ))}
      </div>
      {gain && <p className="text-soft text-sm">{GAIN_CHOICES[gain.by].when}</p>}
    </div>
  );
}
