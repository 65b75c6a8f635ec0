import type { Setup, UnitGround } from '../setup';
import type { Facet } from './facet';

/** The Setup with what some facts stand on said anew. */
export function grounded(
  setup: Setup,
  facets: readonly Pick<Facet, 'of'>[],
  ground: UnitGround,
): Setup {
  const grounds = { ...setup.unit.grounds };
  for (const {
    of: [part, key],
  } of facets)
    // Each key belongs to its part: so the facets have them.
    grounds[part] = { ...grounds[part], [key]: ground } as never;
  return { ...setup, unit: { ...setup.unit, grounds } };
}
