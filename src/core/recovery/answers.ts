import { allExpectations } from '../directions';
import type { Setup } from '../setup';

/** What every steadied surface must do with the model held right wing down, in words. */
export function levellingMust(setup: Setup): string[] {
  const seen = new Map<string, string>();
  for (const { check, surface, movement } of allExpectations(setup))
    if (check.kind === 'correction' && check.axis === 'roll' && movement !== 'centre')
      // The check raises the left wing, which is the same as lowering the right one.
      seen.set(surface.id, `${surface.label.toLowerCase()} goes ${movement} and stays there`);
  return [...seen.values()];
}
