import type { Chain } from '../../chain';
import { isOrder, type Setup } from '../../setup';
import { chainOf, watchOf } from '../explore';

/** Enough to move any surface well past what counts as still. */
const NUDGE_US = 200;

const known = new WeakMap<Setup, readonly (readonly number[])[]>();

/**
 * Channels (1-based) that move each surface, found by nudging their pulses on the chain, one by one;
 * those that only tell the unit what to do are left out.
 */
export function channelsOfSurfaces(setup: Setup): readonly (readonly number[])[] {
  const found = known.get(setup) ?? nudged(setup, chainOf(setup));
  known.set(setup, found);
  return found;
}

function nudged(setup: Setup, chain: Chain): number[][] {
  const frame = chain.newFrame();
  const memory = chain.newMemory();
  const stimulus = chain.restStimulus();
  const orders = new Set(
    [...setup.unit.settings.inputs, ...setup.program.outputs]
      .filter((i) => isOrder(i.carries))
      .map((i) => i.channel),
  );
  chain.step(stimulus, memory, frame);
  const us = frame.receivedUs.slice();
  const found: number[][] = setup.airframe.surfaces.map(() => []);
  for (let at = 0; at < us.length; at++) {
    if (orders.has(at + 1)) continue;
    const seen: Float64Array[] = [-NUDGE_US, NUDGE_US].map((nudge) => {
      frame.receivedUs.set(us);
      if (!Number.isNaN(us[at]!)) frame.receivedUs[at] = 1500 + nudge;
      chain.fromLink(stimulus, memory, frame);
      return frame.surfaceDeg.slice();
    });
    found.forEach((list, i) => {
      const moved = seen[1]![i]! - seen[0]![i]!;
      if (Number.isNaN(moved) || Math.abs(moved) > 0.01) list.push(at + 1);
    });
  }
  return found;
}

/** Channels that tell the unit what to do. */
export const orderChannels = (setup: Setup): number[] => watchOf(setup).map((w) => w.at + 1);

/** Channels that move any surface. */
export const surfaceChannels = (setup: Setup): number[] => [
  ...new Set(channelsOfSurfaces(setup).flat()),
];

/** Channels a stick's effect can depend on: those of the surfaces, and the orders at rest. */
export const ordersAndSurfaces = (setup: Setup): number[] => [
  ...new Set([...orderChannels(setup), ...surfaceChannels(setup)]),
];

/** Every channel something is said about. */
export const everyChannel = (setup: Setup): number[] => [
  ...new Set(setup.program.lines.map((l) => l.channel)),
];
