'use client';

import {
  PANIC_GAIN_PCT,
  FAILSAFE_CHOICES,
  PANIC_CHOICES,
  failsafeSchools,
  panicWays,
} from '@/core/plan';
import { FAILSAFE_SCHOOLS, PANIC_WAYS, type FailsafeSchool, type PanicWay } from '@/core/setup';
import { NumberField } from '../fields/NumberField';
import { ControlSelect, PRESSABLE } from './ControlSelect';
import type { Wishing } from './useWishes';
import { Select } from '../parts/Select';

/** Panic recovery: by which way, on which control. */
export function PanicWishes({ setup, wishes, wish }: Wishing) {
  const ways = panicWays(setup);
  const panic = wishes.panic ?? { way: 'none' as const, holdS: 0 };
  const put = (next: typeof panic & { control?: string; gainPct?: number }, label: string) =>
    wish({ ...wishes, panic: next }, label);
  const acts = panic.way !== 'none' && panic.way !== 'mode-position';
  const first =
    setup.transmitter.controls.find((c) => c.kind === 'momentary') ??
    setup.transmitter.controls.find((c) => c.kind === 'switch-2');
  return (
    <div className="flex flex-col gap-3">
      <label className="text-sm font-semibold">
        By
        <Select
          value={panic.way}
          onChange={(e) => {
            const way = e.target.value as PanicWay;
            const control = wishes.panic?.control ?? first?.id;
            put(
              way === 'none' || way === 'mode-position'
                ? { way, holdS: 0 }
                : {
                    way,
                    holdS: wishes.panic?.holdS ?? 0.3,
                    ...(control ? { control } : {}),
                    gainPct: wishes.panic?.gainPct ?? PANIC_GAIN_PCT,
                  },
              `Panic: ${PANIC_CHOICES[way].title}`,
            );
          }}
        >
          {PANIC_WAYS.map((way) => (
            <option key={way} value={way} disabled={ways[way] !== undefined}>
              {PANIC_CHOICES[way].title}
              {ways[way] ? `: ${ways[way]}` : ''}
            </option>
          ))}
        </Select>
      </label>
      {acts && (
        <div className="grid items-end gap-2 @lg:grid-cols-3">
          <ControlSelect
            label="Control"
            setup={setup}
            kinds={PRESSABLE}
            value={wishes.panic?.control}
            onChange={(control) => put({ ...panic, control }, 'Panic control')}
          />
          <NumberField
            label="held before it acts"
            unit="s"
            at="/intents/program/panic/holdS"
            step={0.1}
            value={panic.holdS}
            onCommit={(holdS) => {
              put({ ...panic, holdS }, `Panic after ${holdS} s`);
              return undefined;
            }}
          />
          <NumberField
            label="gain while it acts"
            unit="%"
            at="/intents/program/panic/gainPct"
            value={wishes.panic?.gainPct ?? PANIC_GAIN_PCT}
            onCommit={(gainPct) => {
              put({ ...panic, gainPct }, `Panic with gain ${gainPct} %`);
              return undefined;
            }}
          />
        </div>
      )}
      <p className="text-soft text-sm">{PANIC_CHOICES[panic.way].when}</p>
    </div>
  );
}

/** What happens when the link is lost. */
export function FailsafeWishes({ setup, wishes, wish }: Wishing) {
  const schools = failsafeSchools(setup);
  const { failsafe } = wishes;
  const put = (next: NonNullable<typeof failsafe>, label: string) =>
    wish({ ...wishes, failsafe: next }, label);
  const flies = failsafe?.school === 'glide' || failsafe?.school === 'circle';
  return (
    <div className="flex flex-col gap-3">
      <label className="text-sm font-semibold">
        When the link is lost
        <Select
          value={failsafe?.school ?? ''}
          onChange={(e) => {
            const school = e.target.value as FailsafeSchool;
            put(
              {
                school,
                pitchDeg: school === 'glide' || school === 'circle' ? 3 : 0,
                rollDeg: school === 'circle' ? 12 : 0,
              },
              `Failsafe: ${FAILSAFE_CHOICES[school].title}`,
            );
          }}
        >
          {!failsafe && <option value="">not chosen</option>}
          {FAILSAFE_SCHOOLS.map((school) => (
            <option key={school} value={school} disabled={schools[school] !== undefined}>
              {FAILSAFE_CHOICES[school].title}
              {schools[school] ? `: ${schools[school]}` : ''}
            </option>
          ))}
        </Select>
      </label>
      {failsafe && flies && (
        <div className="grid items-end gap-2 @lg:grid-cols-3">
          <NumberField
            label="nose up"
            unit="°"
            at="/intents/program/failsafe/pitchDeg"
            step={0.5}
            value={failsafe.pitchDeg}
            onCommit={(pitchDeg) => {
              put({ ...failsafe, pitchDeg }, `Failsafe pitch ${pitchDeg}°`);
              return undefined;
            }}
          />
          {failsafe.school === 'circle' && (
            <NumberField
              label="bank"
              unit="°"
              at="/intents/program/failsafe/rollDeg"
              value={failsafe.rollDeg}
              onCommit={(rollDeg) => {
                put({ ...failsafe, rollDeg }, `Failsafe bank ${rollDeg}°`);
                return undefined;
              }}
            />
          )}
        </div>
      )}
      {failsafe && <p className="text-soft text-sm">{FAILSAFE_CHOICES[failsafe.school].when}</p>}
    </div>
  );
}
