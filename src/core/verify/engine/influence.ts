import { gangedOf, type Chain } from '../../chain';
import { isOrder, type Setup } from '../../setup';
import { chainOf } from '../explore';

/** Enough to move any surface well past what counts as still. */
const NUDGE_US = 200;

const known = new WeakMap<Setup, readonly (readonly number[])[]>();

/**
 * Channels (1-based) that move each surface, by whichever of its servos, found by nudging their pulses on the
 * chain, one by one; those that only tell the unit what to do are left out.
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
  const ganged = gangedOf(setup.airframe);
  for (let at = 0; at < us.length; at++) {
    if (orders.has(at + 1)) continue;
    const seen = [-NUDGE_US, NUDGE_US].map((nudge) => {
      frame.receivedUs.set(us);
      if (!Number.isNaN(us[at]!)) frame.receivedUs[at] = 1500 + nudge;
      chain.fromLink(stimulus, memory, frame);
      return { surfaces: frame.surfaceDeg.slice(), apart: ganged.map((g) => g.apartDeg(frame)) };
    });
    const differs = (of: (look: (typeof seen)[number]) => number) =>
      !(Math.abs(of(seen[1]!) - of(seen[0]!)) <= 0.01);
    found.forEach((list, i) => {
      const moves =
        differs((look) => look.surfaces[i]!) ||
        ganged.some((g, n) => g.surface === i && differs((look) => look.apart[n]!));
      if (moves) list.push(at + 1);
    });
  }
  return found;
}
