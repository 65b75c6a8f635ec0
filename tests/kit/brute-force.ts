import { carriedChannels } from '@/core/chain';
import {
  canRideSwitch,
  mixerOf,
  neededFunctions,
  orderFunctions,
  type PlanRequest,
} from '@/core/plan';
import type { ChannelFunction } from '@/core/setup';

/**
 * What each way of giving something up frees and costs, written down again from the handbook so that
 * it can disagree with the planner.
 */
const GIVE: readonly {
  gone: ChannelFunction;
  cost: number;
  may: (functions: readonly ChannelFunction[], request: PlanRequest) => boolean;
}[] = [
  { gone: 'aileron2', cost: 1, may: () => true },
  { gone: 'recovery', cost: 2, may: (f) => f.includes('mode') },
  { gone: 'gear', cost: 3, may: (f) => f.includes('flap') },
  { gone: 'mode', cost: 6, may: (f) => !f.includes('mode2') },
  { gone: 'gain', cost: 5, may: (_, r) => r.unit.traits.gainLeadMissing !== 'zero' },
];

/** Tries every choice of what to give up and every order of the rest on the channels. */
export function bruteForce(request: PlanRequest): { cost: number; tried: number } {
  const { airframe, unit, transmitter, wishes } = request;
  const last = Math.min(
    transmitter.channels,
    unit.traits.inputChannels,
    carriedChannels({ transmitter }),
  );
  const order = unit.traits.inputOrder.kind === 'fixed' ? unit.traits.inputOrder.order : [];
  const all = [
    ...new Set([
      ...neededFunctions(airframe, mixerOf(unit)),
      ...orderFunctions(unit).filter((f) => f !== 'recovery'),
      ...wishes.filter((w) => orderFunctions(unit).includes(w) || !/^(mode|gain|recovery)/.test(w)),
    ]),
  ];
  let best = Infinity;
  let tried = 0;
  const fits = (f: ChannelFunction, channel: number) =>
    (canRideSwitch(f, transmitter) || !transmitter.switchOnly.includes(channel)) &&
    (order.includes(f) ? order.indexOf(f) + 1 === channel : channel > order.length);
  const assign = (left: readonly ChannelFunction[], used: number): boolean => {
    const [first, ...rest] = left;
    if (first === undefined) return true;
    let found = false;
    for (let channel = 1; channel <= last; channel++) {
      if (used & (1 << channel)) continue;
      tried += 1;
      // No shortcut: every assignment is checked, found or not.
      if (fits(first, channel) && assign(rest, used | (1 << channel))) found = true;
    }
    return found;
  };
  for (let set = 0; set < 1 << GIVE.length; set++) {
    let functions: ChannelFunction[] = all;
    let cost = 0;
    let allowed = true;
    GIVE.forEach(({ gone, cost: price, may }, i) => {
      if (!((set >> i) & 1)) return;
      if (!functions.includes(gone) || !may(functions, request)) allowed = false;
      functions = functions.filter((f) => f !== gone);
      cost += price;
    });
    if (allowed && functions.length <= last && assign(functions, 0)) best = Math.min(best, cost);
  }
  return { cost: best, tried };
}
