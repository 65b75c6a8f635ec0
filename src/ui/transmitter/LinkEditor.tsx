'use client';

import { Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { functionOf, functionsFor, handsOn, pointer, type Transmitter } from '@/core/setup';
import { NumberField } from '../fields/NumberField';
import { TextField } from '../fields/TextField';
import { Fold } from '../parts/Fold';
import type { ChangeTransmitter } from './change';
import { Select } from '../parts/Select';

/** Order of channels, switch-only channels, and what each link variant really carries. */
export function LinkEditor({
  transmitter,
  change,
}: {
  transmitter: Transmitter;
  change: ChangeTransmitter;
}) {
  const { defaultOrder, switchOnly, channels, linkVariants } = transmitter;
  const [refused, setRefused] = useState('');
  const set = (path: string, value: unknown, label: string) => {
    const reason = change([{ op: 'replace', path, value }], label)[0]?.reason;
    setRefused(reason ?? '');
    return reason;
  };
  return (
    <Fold title="Channel order, switch-only channels, links">
      <div className="flex flex-col gap-3">
        <fieldset className="grid grid-cols-2 gap-2">
          <legend className="text-sm font-semibold">Its own order of channels</legend>
          {defaultOrder.map((f, i) => (
            <label key={i} className="flex items-center gap-2 text-sm">
              <span className="num">{i + 1}</span>
              <Select
                aria-label={`Channel ${i + 1} is by itself`}
                value={f}
                onChange={(e) =>
                  void set(pointer('defaultOrder', i), e.target.value, `Channel ${i + 1} first`)
                }
              >
                {functionsFor(handsOn(transmitter) === 'wheel-and-trigger').map((g) => (
                  <option key={g} value={g}>
                    {functionOf(g).words}
                  </option>
                ))}
              </Select>
            </label>
          ))}
        </fieldset>
        <fieldset>
          <legend className="text-sm font-semibold">Channels that carry a switch only</legend>
          <div className="flex flex-wrap gap-x-3">
            {Array.from({ length: channels }, (_, i) => i + 1).map((c) => (
              <label key={c} className="flex min-h-11 items-center gap-1">
                <input
                  type="checkbox"
                  className="h-5 w-5 accent-(--accent)"
                  checked={switchOnly.includes(c)}
                  onChange={(e) =>
                    void set(
                      '/switchOnly',
                      e.target.checked
                        ? [...switchOnly, c].toSorted((a, b) => a - b)
                        : switchOnly.filter((s) => s !== c),
                      `Channel ${c}: ${e.target.checked ? 'switch only' : 'a full channel'}`,
                    )
                  }
                />
                {c}
              </label>
            ))}
          </div>
        </fieldset>
        <label className="flex min-h-11 items-center gap-2 text-sm">
          <input
            type="checkbox"
            className="h-5 w-5 accent-(--accent)"
            checked={transmitter.throttleReversedInside}
            onChange={(e) =>
              void set('/throttleReversedInside', e.target.checked, 'Throttle reversed inside')
            }
          />
          It reverses the throttle by itself, whatever its menu says
        </label>
        <ul className="flex flex-col gap-2">
          {linkVariants.map((v, i) => (
            <li key={v.id} className="grid grid-cols-[1fr_6rem_3rem] items-end gap-2">
              <TextField
                label={i === 0 ? 'link variant' : 'another'}
                value={v.label}
                onCommit={(t) => set(pointer('linkVariants', i, 'label'), t, 'Link renamed')}
              />
              <NumberField
                label="carries"
                unit="ch"
                at="/transmitter/linkVariants/0/channels"
                value={v.channels}
                onCommit={(n) =>
                  set(pointer('linkVariants', i, 'channels'), n, `${v.label}: ${n} channels`)
                }
              />
              <button
                type="button"
                className="btn px-0"
                aria-label={`Remove link “${v.label}”`}
                disabled={linkVariants.length === 1}
                onClick={() =>
                  setRefused(
                    change(
                      [{ op: 'remove', path: pointer('linkVariants', i) }],
                      `Link “${v.label}” removed`,
                    )[0]?.reason ?? '',
                  )
                }
              >
                <Trash2 size={18} aria-hidden />
              </button>
            </li>
          ))}
        </ul>
        <button
          type="button"
          className="btn self-start"
          disabled={linkVariants.length >= 6}
          onClick={() => {
            let n = linkVariants.length + 1;
            while (linkVariants.some((v) => v.id === `link-${n}`)) n += 1;
            change(
              [
                {
                  op: 'add',
                  path: '/linkVariants/-',
                  value: { id: `link-${n}`, label: `Link ${n}`, channels },
                },
              ],
              'Link variant added',
            );
          }}
        >
          <Plus size={18} aria-hidden />
          Add a link variant
        </button>
        {refused && (
          <p role="alert" className="text-stop text-sm">
            Not changed: {refused}.
          </p>
        )}
      </div>
    </Fold>
  );
}
