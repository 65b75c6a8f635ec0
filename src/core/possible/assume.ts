import { withGround, type Setup, type UnitGround } from '../setup';
import type { Facet } from './facet';

/** The Setup with some facts about its unit standing on something else. */
export const grounded = (
  setup: Setup,
  facets: readonly Pick<Facet, 'of'>[],
  ground: UnitGround,
): Setup => ({
  ...setup,
  unit: withGround(
    setup.unit,
    facets.map(({ of }) => of),
    ground,
  ),
});
