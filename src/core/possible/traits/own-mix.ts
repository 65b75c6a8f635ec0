import { AXES, type Setup } from '../../setup';
import type { PossibleTrait } from '../facet';

/** Which axes its own mixer takes part in. */
const MIXED = { delta: ['roll', 'pitch'], 'v-tail': ['pitch', 'yaw'] } as const;

/** Which way its own mixer takes a stick. */
export const ownMix: PossibleTrait = {
  facets: ({ unit }) => {
    const { wingType } = unit.settings;
    if (wingType !== 'delta' && wingType !== 'v-tail') return [];
    return AXES.filter((axis) => (MIXED[wingType] as readonly string[]).includes(axis)).map(
      (axis) => {
        const now = unit.traits.mixSense?.[axis] ?? 1;
        return {
          id: `mix-${axis}`,
          title: `which way it mixes the ${axis} stick`,
          of: ['traits', 'mixSense'],
          now: now === 1 ? 'usual' : 'other',
          values: (
            [
              [1, 'usual', `it mixes the ${axis} stick as usual`, 80],
              [-1, 'other', `it mixes the ${axis} stick the other way`, 20],
            ] as const
          ).map(([sense, key, words, usual]) => ({
            key,
            words,
            usual,
            change({ unit: { traits } }: Setup) {
              traits.mixSense = { ...traits.mixSense, [axis]: sense };
            },
          })),
        };
      },
    );
  },
};
