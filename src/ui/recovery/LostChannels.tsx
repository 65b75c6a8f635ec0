'use client';

import { functionOf, type Failsafe } from '@/core/setup';
import { channelLost, type LostChannel } from '@/core/sheets';
import { NumberField } from '../fields/NumberField';
import { useModel } from '../open/modelStore';
import { Select } from '../parts/Select';
import { LINK_LOST } from '../words';

const CHOICES: readonly (readonly [LostChannel['entered'], string])[] = [
  ['unset', 'left unset'],
  ['hold', 'hold the last value'],
  ['preset', 'go to a value'],
  ['no-pulses', 'send nothing'],
];

/** What each channel does when the signal is lost, to be chosen one by one. */
export function LostChannels() {
  const setup = useModel((s) => s.setup);
  const edit = useModel((s) => s.edit);
  const { failsafe } = setup.program;
  const put = (channel: number, next: Failsafe | undefined, words: string) => {
    const at = failsafe.findIndex((f) => f.channel === channel);
    const value = next
      ? at < 0
        ? [...failsafe, next]
        : failsafe.map((f, i) => (i === at ? next : f))
      : failsafe.filter((f) => f.channel !== channel);
    return edit([{ op: 'replace', path: '/program/failsafe', value }], words)[0]?.reason;
  };
  return (
    <ul className="mt-2 flex flex-col divide-y divide-(--card-edge)">
      {channelLost(setup).map((c) => {
        const name = `channel ${c.channel}, ${functionOf(c.carries).words}`;
        return (
          <li key={c.channel} className="flex flex-col gap-1 py-2">
            <p className="font-semibold">
              {c.channel} {functionOf(c.carries).words}
            </p>
            <div className="grid grid-cols-2 items-end gap-2">
              <Select
                aria-label={`${LINK_LOST}, ${name}`}
                value={c.entered}
                onChange={(e) => {
                  const kind = e.target.value as LostChannel['entered'];
                  const words = `Signal lost, ${name}: ${CHOICES.find(([k]) => k === kind)![1]}`;
                  put(
                    c.channel,
                    kind === 'unset'
                      ? undefined
                      : kind === 'preset'
                        ? { channel: c.channel, kind, valuePct: c.valuePct ?? 0 }
                        : { channel: c.channel, kind },
                    words.slice(0, 80),
                  );
                }}
              >
                {CHOICES.map(([kind, words]) => (
                  <option key={kind} value={kind}>
                    {words}
                  </option>
                ))}
              </Select>
              {c.entered === 'preset' && (
                <NumberField
                  label="value"
                  unit="%"
                  at="/program/failsafe/0/valuePct"
                  value={c.valuePct!}
                  onCommit={(valuePct) =>
                    put(
                      c.channel,
                      { channel: c.channel, kind: 'preset', valuePct },
                      `Signal lost, channel ${c.channel}: ${valuePct} %`,
                    )
                  }
                />
              )}
            </div>
            <p className="text-soft text-sm">
              It {c.words}
              {c.us === undefined ? '' : `, ${c.us.toFixed(0)} µs`}.
            </p>
          </li>
        );
      })}
    </ul>
  );
}
