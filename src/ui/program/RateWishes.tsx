'use client';

import { combinations, positionsOfSwitches, RATE_WHEN } from '@/core/plan';
import type { RatesWish } from '@/core/setup';
import { Choice } from '../fields/Choice';
import { NumberField } from '../fields/NumberField';
import { ControlSelect, SWITCHES } from './ControlSelect';
import type { Wishing } from './useWishes';

type Rate = { pct: number; expoPct: number };

const LOW: Rate = { pct: 50, expoPct: 30 };
const FULL: Rate = { pct: 100, expoPct: 20 };

/** Rates and expo: one pair, a pair for each mode, or a pair for each position of a switch. */
export function RateWishes({ setup, wishes, wish }: Wishing) {
  const { rates } = wishes;
  const put = (next: RatesWish, label: string) => wish({ ...wishes, rates: next }, label);
  const free = setup.transmitter.controls.find((c) => SWITCHES.includes(c.kind));
  const onSwitch = (control: string): RatesWish => ({
    by: 'switch',
    control,
    at: Array.from({ length: positionsOfSwitches(setup, [control]) }, (_, i) =>
      i === 0 ? LOW : FULL,
    ),
  });
  const pair = (words: string, value: Rate, change: (next: Rate) => RatesWish) =>
    (
      [
        ['pct', 'rate'],
        ['expoPct', 'expo'],
      ] as const
    ).map(([key, what]) => (
      <NumberField
        key={`${words} ${key}`}
        label={`${words}: ${what}`}
        unit="%"
        at={`/intents/program/rates/${key}`}
        value={value[key]}
        onCommit={(v) => {
          put(change({ ...value, [key]: v }), `${words}: ${what} ${v} %`);
          return undefined;
        }}
      />
    ));
  return (
    <div className="flex flex-col gap-3">
      <Choice
        label="Rates"
        value={rates.by}
        options={[
          ['one', 'the same everywhere'],
          ['mode', 'low in off, full when stabilized'],
          ['switch', 'on a switch of their own'],
        ]}
        onChange={(by) =>
          by === 'one'
            ? put({ by, ...FULL }, 'One rate')
            : by === 'mode'
              ? put({ by, off: LOW, on: FULL }, 'Rates by mode')
              : free && put(onSwitch(free.id), 'Rates on a switch')
        }
      />
      {rates.by === 'switch' && (
        <ControlSelect
          label="Rate switch"
          setup={setup}
          kinds={SWITCHES}
          value={rates.control}
          onChange={(control) => put(onSwitch(control), 'Rate switch chosen')}
        />
      )}
      <div className="grid grid-cols-2 items-end gap-2 @lg:grid-cols-4">
        {rates.by === 'one' && pair('always', rates, (next) => ({ by: 'one', ...next }))}
        {rates.by === 'mode' && pair('in off', rates.off, (off) => ({ ...rates, off }))}
        {rates.by === 'mode' && pair('when on', rates.on, (on) => ({ ...rates, on }))}
        {rates.by === 'switch' &&
          combinations(setup, [rates.control]).map(({ words }, i) =>
            pair(words, rates.at[i]!, (next) => ({
              ...rates,
              at: rates.at.map((r, j) => (j === i ? next : r)),
            })),
          )}
      </div>
      <p className="text-soft text-sm">{RATE_WHEN}</p>
    </div>
  );
}
