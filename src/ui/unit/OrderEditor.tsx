'use client';

import { Plus, Trash2 } from 'lucide-react';
import {
  functionOf,
  functionsFor,
  isSteeringUnit,
  pointer,
  type ChannelFunction,
  type Unit,
} from '@/core/setup';
import { Choice } from '../fields/Choice';
import { Refused, useAttempt } from '../fields/useAttempt';
import { Select } from '../parts/Select';
import type { ChangeUnit } from './change';
import { Section } from '../parts/Section';

/** Longest order the format takes. */
const MOST = 16;

/** In which order the unit expects its channels: any, chosen inside it; or one that is fixed. */
export function OrderEditor({ unit, change }: { unit: Unit; change: ChangeUnit }) {
  const { inputOrder, inputChannels } = unit.traits;
  const { attempt, refused } = useAttempt(change);
  const functions = functionsFor(isSteeringUnit(unit));
  const order = inputOrder.kind === 'fixed' ? inputOrder.order : [];
  const free = functions.find((f) => !order.includes(f));
  const setOrder = (next: readonly ChannelFunction[], label: string) =>
    attempt(
      [{ op: 'replace', path: pointer('traits', 'inputOrder', 'order'), value: next }],
      label,
    );
  return (
    <Section title="The order of its channels" level={3} className="flex flex-col gap-2">
      <Choice
        label="Which channel carries what?"
        value={inputOrder.kind}
        options={[
          ['free', 'chosen in the unit'],
          ['fixed', 'one fixed order'],
        ]}
        onChange={(kind) =>
          void attempt(
            [
              {
                op: 'replace',
                path: '/traits/inputOrder',
                value:
                  kind === 'free'
                    ? { kind }
                    : {
                        kind,
                        order:
                          unit.settings.inputs.length > 0
                            ? inOrder(unit)
                            : functions.slice(0, Math.min(4, inputChannels)),
                      },
              },
            ],
            kind === 'free' ? 'Channel order chosen in the unit' : 'Channel order fixed',
          )
        }
      />
      <ol className="grid gap-2 @lg:grid-cols-2 @3xl:grid-cols-4">
        {order.map((carries, i) => (
          <li key={carries} className="flex items-end gap-1">
            <label className="min-w-0 flex-1 text-sm font-semibold">
              channel {i + 1}
              <Select
                value={carries}
                onChange={(e) =>
                  void setOrder(
                    exchanged(order, i, e.target.value as ChannelFunction),
                    `Unit’s channel ${i + 1}: ${functionOf(e.target.value as ChannelFunction).words}`,
                  )
                }
              >
                {functions.map((f) => (
                  <option key={f} value={f}>
                    {functionOf(f).words}
                  </option>
                ))}
              </Select>
            </label>
            {i === order.length - 1 && order.length > 1 && (
              <button
                type="button"
                className="btn px-0"
                aria-label={`Remove channel ${i + 1}`}
                onClick={() => void setOrder(order.slice(0, -1), `Unit’s channel ${i + 1} removed`)}
              >
                <Trash2 size={18} aria-hidden />
              </button>
            )}
          </li>
        ))}
      </ol>
      {inputOrder.kind === 'fixed' && free && order.length < Math.min(MOST, inputChannels) && (
        <button
          type="button"
          className="btn self-start"
          onClick={() =>
            void setOrder([...order, free], `Unit’s channel ${order.length + 1} added`)
          }
        >
          <Plus size={18} aria-hidden />
          Add channel {order.length + 1}
        </button>
      )}
      <Refused reason={refused} />
    </Section>
  );
}

/** What its channels carry now, from channel 1 on without a gap. */
function inOrder({ settings }: Unit): ChannelFunction[] {
  const at = new Map(settings.inputs.map((i) => [i.channel, i.carries]));
  const order: ChannelFunction[] = [];
  for (let channel = 1; at.has(channel) && order.length < MOST; channel++)
    order.push(at.get(channel)!);
  return order.length > 0 ? order : [settings.inputs[0]!.carries];
}

/** The order with another function in one place; the two change places where it stood elsewhere. */
const exchanged = (
  order: readonly ChannelFunction[],
  at: number,
  carries: ChannelFunction,
): ChannelFunction[] =>
  order.map((own, i) => (i === at ? carries : own === carries ? order[at]! : own));
