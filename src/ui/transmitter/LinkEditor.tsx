'use client';

import { functionOf, functionsFor, handsOn, pointer, type Transmitter } from '@/core/setup';
import { NumberField } from '../fields/NumberField';
import { freeId, Rows } from '../fields/Rows';
import { TextField } from '../fields/TextField';
import { Refused, useAttempt } from '../fields/useAttempt';
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
  const { attempt, refused } = useAttempt(change);
  const set = (path: string, value: unknown, label: string) =>
    attempt([{ op: 'replace', path, value }], label);
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
        <Rows
          list={linkVariants}
          at="/linkVariants"
          keyOf={(v) => v.id}
          columns={() => 'grid-cols-[1fr_6rem_3rem]'}
          name={(v) => `link “${v.label}”`}
          least={1}
          most={6}
          attempt={attempt}
          row={(v, i) => (
            <>
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
            </>
          )}
          add={{
            words: 'Add a link variant',
            label: 'Link variant added',
            patch() {
              const id = freeId('link-', linkVariants);
              const label = `Link ${id.slice('link-'.length)}`;
              return [{ op: 'add', path: '/linkVariants/-', value: { id, label, channels } }];
            },
          }}
        />
        <Refused reason={refused} />
      </div>
    </Fold>
  );
}
