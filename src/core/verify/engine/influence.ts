import type { Chain } from '../../chain';
import { isOrder, type Setup } from '../../setup';
import { chainOf } from '../explore';

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
