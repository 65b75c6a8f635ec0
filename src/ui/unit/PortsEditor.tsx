'use client';

import { Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { functionOf, functionsFor, isSteeringUnit, pointer, type Unit } from '@/core/setup';
import { TextField } from '../fields/TextField';
import type { ChangeUnit } from './TraitQuestions';
import { Select } from '../parts/Select';
import { Section } from '../parts/Section';

/** The plugs: what is written beside each, what it must carry, whether it can be stabilized. */
export function PortsEditor({ unit, change }: { unit: Unit; change: ChangeUnit }) {
  const { ports, stabilizedOutputs } = unit.traits;
  const [refused, setRefused] = useState('');
  const attempt = (...args: Parameters<ChangeUnit>) => {
    const reason = change(...args)[0]?.reason;
    setRefused(reason ?? '');
    return reason;
  };
  return (
    <Section title="Its plugs" level={3} className="flex flex-col gap-2">
      <ul className="flex flex-col divide-y divide-(--card-edge)">
        {ports.map((port, i) => {
          const path = (field: string) => pointer('traits', 'ports', i, field);
          const set = (field: string, value: unknown) =>
            attempt(
              value === undefined
                ? [{ op: 'remove', path: path(field) }]
                : [{ op: 'add', path: path(field), value }],
              `${port.label}: ${field} changed`,
            );
          return (
            <li
              key={port.id}
              className="grid grid-cols-2 items-end gap-2 py-2 @lg:grid-cols-[1fr_10rem_9rem_3rem]"
            >
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
              <button
                type="button"
                className="btn px-0"
                aria-label={`Remove ${port.label}`}
                onClick={() =>
                  void attempt(
                    [{ op: 'remove', path: pointer('traits', 'ports', i) }],
                    `${port.label} removed`,
                  )
                }
              >
                <Trash2 size={18} aria-hidden />
              </button>
            </li>
          );
        })}
      </ul>
      <button
        type="button"
        className="btn self-start"
        disabled={ports.length >= 24}
        onClick={() => {
          let n = ports.length + 1;
          while (ports.some((p) => p.id === `${n}`)) n += 1;
          attempt(
            [
              {
                op: 'add',
                path: '/traits/ports/-',
                value: { id: `${n}`, label: `Port ${n}`, canStabilize: true },
              },
            ],
            `Port ${n} added`,
          );
        }}
      >
        <Plus size={18} aria-hidden />
        Add a plug
      </button>
      {refused && (
        <p role="alert" className="text-stop text-sm">
          Not changed: {refused}.
        </p>
      )}
    </Section>
  );
}
