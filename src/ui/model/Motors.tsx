'use client';

import { kindOf, type Motor } from '@/core/setup';
import { Choice } from '../fields/Choice';
import { NumberField } from '../fields/NumberField';
import { useModel } from '../open/modelStore';
import { Select } from '../parts/Select';
import { Section } from '../parts/Section';
import { Lead } from './Lead';

const BEHIND_STOP_WORDS: Record<NonNullable<Motor['reverse']> | 'nothing', string> = {
  nothing: 'does nothing',
  brakes: 'brakes',
  'brakes-then-reverses': 'brakes, and reverses at the second push',
  reverses: 'reverses at once',
};

/** Each motor: what turns it, the pulses at which it stands still and runs full, what lies behind stop. */
export function Motors() {
  const airframe = useModel((s) => s.setup.airframe);
  const edit = useModel((s) => s.edit);
  const { onSurface } = kindOf(airframe);
  if (airframe.motors.length === 0) return null;
  return (
    <Section
      title={airframe.motors.length > 1 ? 'Motors' : 'Motor'}
      className="card flex flex-col gap-4"
    >
      {airframe.motors.map((motor, i) => {
        const at = `/airframe/motors/${i}`;
        const name = motor.label;
        const pulse = (key: 'stopUs' | 'fullUs', words: string) => (
          <NumberField
            label={words}
            unit="µs"
            at={`${at}/${key}`}
            step={10}
            value={motor[key]}
            onCommit={(value) =>
              edit(
                [{ op: 'replace', path: `${at}/${key}`, value }],
                `${name} ${words} ${value} µs`,
              )[0]?.reason
            }
          />
        );
        return (
          <div key={motor.id} className="flex flex-col gap-3">
            <Choice
              label={`${name} turned by`}
              value={motor.power}
              options={[
                ['electric', 'a controller and a battery'],
                ['engine', 'an engine'],
              ]}
              onChange={(power) =>
                void edit(
                  [{ op: 'replace', path: `${at}/power`, value: power }],
                  `${name}: ${power === 'engine' ? 'an engine' : 'electric'}`,
                )
              }
            />
            <div className="grid grid-cols-2 gap-3">
              {pulse('stopUs', 'stands still at')}
              {pulse('fullUs', 'runs full at')}
            </div>
            <Lead of={motor.id} />
            {onSurface && (
              <label className="flex flex-col gap-1 text-sm font-semibold">
                ESC below stop:
                <Select
                  value={motor.reverse ?? 'nothing'}
                  onChange={(e) => {
                    const value = e.target.value as keyof typeof BEHIND_STOP_WORDS;
                    void edit(
                      value === 'nothing'
                        ? [{ op: 'remove', path: `${at}/reverse` }]
                        : [{ op: 'add', path: `${at}/reverse`, value }],
                      `${name}: below stop it ${BEHIND_STOP_WORDS[value]}`,
                    );
                  }}
                >
                  {Object.entries(BEHIND_STOP_WORDS).map(([id, words]) => (
                    <option key={id} value={id}>
                      {words}
                    </option>
                  ))}
                </Select>
              </label>
            )}
          </div>
        );
      })}
    </Section>
  );
}
