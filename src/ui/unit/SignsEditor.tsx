'use client';

import { AXES, pointer, type Unit, type UnitTraits } from '@/core/setup';
import { Choice } from '../fields/Choice';
import { NumberField } from '../fields/NumberField';
import type { ChangeUnit } from './change';
import { UnitLight } from '../drawing/UnitLight';
import { AXIS_WORDS, MODE_WORDS } from '../words/unit';
import { Select } from '../parts/Select';
import { Section } from '../parts/Section';

type Light = UnitTraits['lights'][number];
const COLOURS: Light['colour'][] = ['none', 'red', 'green', 'blue', 'amber', 'white'];
/** What a longer pulse asks for when nothing is reversed. */
const ASKS = {
  roll: ['roll right', 'roll left'],
  pitch: ['nose up', 'nose down'],
  yaw: ['nose right', 'nose left'],
} as const;

/** Lights, twitches, and which way the unit takes a longer pulse. */
export function SignsEditor({ unit, change }: { unit: Unit; change: ChangeUnit }) {
  const { traits } = unit;
  const lightOf = (mode: Light['mode']): Light =>
    traits.lights.find((l) => l.mode === mode) ?? { mode, colour: 'none', blinks: 0 };
  const setLight = (light: Light) =>
    change(
      [
        {
          op: 'replace',
          path: '/traits/lights',
          value: [...traits.lights.filter((l) => l.mode !== light.mode), light],
        },
      ],
      `Light in ${light.mode}`,
    )[0]?.reason;
  return (
    <Section title="How it shows what it does" level={3} className="flex flex-col gap-3">
      <ul className="flex flex-col gap-2">
        {traits.modes.map((mode) => {
          const light = lightOf(mode);
          return (
            <li
              key={mode}
              className="grid grid-cols-2 items-end gap-2 @lg:grid-cols-[1fr_7rem_7rem]"
            >
              <span className="flex min-h-11 items-center gap-2 @max-lg:col-span-2">
                <UnitLight colour={light.colour} blinks={light.blinks} /> {MODE_WORDS[mode]}
              </span>
              <Select
                aria-label={`Colour in ${MODE_WORDS[mode]}`}
                value={light.colour}
                onChange={(e) =>
                  void setLight({ ...light, colour: e.target.value as Light['colour'] })
                }
              >
                {COLOURS.map((c) => (
                  <option key={c} value={c}>
                    {c === 'none' ? 'dark' : c}
                  </option>
                ))}
              </Select>
              <NumberField
                label={`blinks in ${MODE_WORDS[mode]}`}
                hideLabel
                unit="×"
                at="/unit/traits/lights/0/blinks"
                value={light.blinks}
                onCommit={(blinks) => setLight({ ...light, blinks })}
              />
            </li>
          );
        })}
      </ul>
      <div className="max-w-60">
        <NumberField
          label="twitches at power-up"
          unit="×"
          at="/unit/traits/twitchesAtPowerUp"
          value={traits.twitchesAtPowerUp}
          onCommit={(v) =>
            change(
              [{ op: 'replace', path: '/traits/twitchesAtPowerUp', value: v }],
              `${v} twitches at power-up`,
            )[0]?.reason
          }
        />
      </div>
      {traits.correctionDirection !== 'learned' && (
        <div className="flex flex-wrap gap-4">
          {AXES.filter((a) => traits.axes.includes(a)).map((axis) => (
            <Choice
              key={axis}
              label={`${AXIS_WORDS[axis]}: a longer pulse means`}
              value={traits.nominalSense[axis] === 1 ? 'plus' : 'minus'}
              options={[
                ['plus', ASKS[axis][0]],
                ['minus', ASKS[axis][1]],
              ]}
              onChange={(v) =>
                void change(
                  [
                    {
                      op: 'replace',
                      path: pointer('traits', 'nominalSense', axis),
                      value: v === 'plus' ? 1 : -1,
                    },
                  ],
                  `${AXIS_WORDS[axis]}: sense of a longer pulse`,
                )
              }
            />
          ))}
        </div>
      )}
    </Section>
  );
}
