import { kindOf, type Setup } from '../../setup';
import type { PossibleTrait } from '../facet';

/** Where nobody says it, about so much throttle. Common practice, no source. */
const USUAL_ARM_PCT = 20;

const VALUES = [
  ['always', 'it works at once', 70],
  ['after-throttle', 'it works after the throttle was opened once', 20],
  ['position-fix', 'levelling waits for a position fix', 10],
] as const;

/** When it starts to work. */
export const arming: PossibleTrait = {
  facets: ({ unit, airframe }) => [
    {
      id: 'arming',
      title: 'when it starts to work',
      of: ['traits', 'arming'],
      now: unit.traits.arming,
      values: VALUES.filter(([key]) => key !== 'position-fix' || !kindOf(airframe).onSurface).map(
        ([key, words, usual]) => ({
          key,
          words,
          usual,
          change({ unit: { traits } }: Setup) {
            traits.arming = key;
            if (key === 'after-throttle' && traits.armThrottlePct === 0)
              traits.armThrottlePct = USUAL_ARM_PCT;
          },
        }),
      ),
    },
  ],
};
