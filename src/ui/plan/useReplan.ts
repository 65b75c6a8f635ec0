'use client';

import { useState } from 'react';
import { difference } from '@/core/patch';
import { applyPlan, planFor, type Assignment } from '@/core/plan';
import { functionOf, type ChannelFunction, type Setup } from '@/core/setup';
import { useModel } from '../open/modelStore';

/** Pins with a function fixed on a channel: what was fixed there is let go. */
export const pinned = (
  { intents }: Setup,
  carries: ChannelFunction,
  channel: number,
): Assignment => [
  ...intents.pins.filter((p) => p.carries !== carries && p.channel !== channel),
  { carries, channel },
];

/** Plans the channels again with other choices or pins; what cannot be planned changes nothing. */
export function useReplan() {
  const setup = useModel((s) => s.setup);
  const edit = useModel((s) => s.edit);
  const [refused, setRefused] = useState<string[]>([]);
  const replan = (wishes: readonly ChannelFunction[], pins: Assignment, label: string) => {
    const next = planFor(setup, wishes, pins);
    setRefused(next.impossible);
    if (next.impossible.length > 0) return;
    const problems = edit(difference(setup, applyPlan(setup, next, wishes, pins)), label);
    setRefused(problems.map((p) => p.reason));
  };
  return {
    refused,
    replan,
    pin: (carries: ChannelFunction, channel: number) =>
      replan(
        setup.intents.wishes,
        pinned(setup, carries, channel),
        `${functionOf(carries).words} fixed on channel ${channel}`,
      ),
    unpin: (carries: ChannelFunction) =>
      replan(
        setup.intents.wishes,
        setup.intents.pins.filter((p) => p.carries !== carries),
        `${functionOf(carries).words} no longer fixed`,
      ),
  };
}
