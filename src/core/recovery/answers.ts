import { allExpectations } from '../directions';
import type { Sentence } from '../script';
import type { Setup } from '../setup';
import { PANIC } from './sentences';

/** What every stabilized surface must do with the model held right wing down. */
export function levellingMust(setup: Setup): Sentence[] {
  const seen = new Map<string, Sentence>();
  for (const { check, surface, movement } of allExpectations(setup))
    if (check.kind === 'correction' && check.axis === 'roll' && movement !== 'centre')
      // The check raises the left wing, which is the same as lowering the right one.
      seen.set(surface.id, PANIC['goes-and-stays']({ surface, to: movement }));
  return [...seen.values()];
}
