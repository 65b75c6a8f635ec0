'use client';

import { functionOf, functionsFor, isSteeringUnit, pointer, type Unit } from '@/core/setup';
import { freeId, Rows } from '../fields/Rows';
import { TextField } from '../fields/TextField';
import { Refused, useAttempt } from '../fields/useAttempt';
import type { ChangeUnit } from './change';
import { Select } from '../parts/Select';
import { Section } from '../parts/Section';

/** The plugs: what is written beside each, what it must carry, whether it can be stabilized. */
export function PortsEditor({ unit, change }: { unit: Unit; change: ChangeUnit }) {
  const { ports, stabilizedOutputs } = unit.traits;
  const { attempt, refused } = useAttempt(change);
  return (
    <Section title="Its plugs" level={3} className="flex flex-col gap-2">
      <Rows
        list={ports}
        at="/traits/ports"
        keyOf={(port) => port.id}
        columns={() => 'grid-cols-2 @lg:grid-cols-[1fr_10rem_9rem_3rem]'}
        name={(port) => port.label}
        most={24}
        attempt={attempt}
        row={(port, i) => {
          const path = (field: string) => pointer('traits', 'ports', i, field);
          const set = (field: string, value: unknown) =>
            attempt(
              value === undefined
                ? [{ op: 'remove', path: path(field) }]
                : [{ op: 'add', path: path(field), value }],
              `${port.label}: ${field} changed`,
            );
          return (
            <>
              <TextField label="label on it" value={port.label} onCommit={(v) => set('label', v)} />
              <label className="text-sm font-semibold">
                must carry
                <Select
                  value={port.labelledFor ?? ''}
                  onChange={(e) => void set('labelledFor', e.target.value || undefined)}
                >
                  <option value="">anything</option>
                  {functionsFor(isSteeringUnit(unit)).map((f) => (
                    <option key={f} value={f}>
                      {functionOf(f).words}
                    </option>
                  ))}
                </Select>
              </label>
              <div>
                <label className="flex min-h-11 items-center gap-2">
                  <input
                    type="checkbox"
                    className="h-5 w-5 accent-(--accent)"
                    checked={port.canStabilize}
                    onChange={(e) => void set('canStabilize', e.target.checked)}
                  />
                  can stabilize
                </label>
                {stabilizedOutputs === 'two-banks' && (
                  <Select
                    aria-label={`Bank of ${port.label}`}
                    value={port.bank ?? ''}
                    onChange={(e) => void set('bank', Number(e.target.value) || undefined)}
                  >
                    <option value="">no bank</option>
                    <option value={1}>bank 1</option>
                    <option value={2}>bank 2</option>
                  </Select>
                )}
              </div>
            </>
          );
        }}
        add={{
          words: 'Add a plug',
          label: 'Plug added',
          patch() {
            const id = freeId('', ports);
            const value = { id, label: `Port ${id}`, canStabilize: true };
            return [{ op: 'add', path: '/traits/ports/-', value }];
          },
        }}
      />
      <Refused reason={refused} />
    </Section>
  );
}
