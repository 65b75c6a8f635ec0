import { MIXED_AXES } from '../../chain';
import { valuesOf, type PossibleTrait } from '../facet';

/** Which way its own mixer takes a stick. */
export const ownMix: PossibleTrait = {
  facets: ({ unit }) =>
    (MIXED_AXES[unit.settings.wingType] ?? []).map((axis) => ({
      id: `mix-${axis}`,
      title: `which way it mixes the ${axis} stick`,
      of: ['traits', 'mixSense'],
      now: (unit.traits.mixSense?.[axis] ?? 1) === 1 ? 'usual' : 'other',
      values: valuesOf(
        [
          ['usual', `it mixes the ${axis} stick as usual`, 80],
          ['other', `it mixes the ${axis} stick the other way`, 20],
        ] as const,
        ({ unit: { traits } }, key) => {
          traits.mixSense = { ...traits.mixSense, [axis]: key === 'usual' ? 1 : -1 };
        },
      ),
    })),
};
