import { RESTS_ON } from '../../chain';
import { kindOf, type Setup } from '../../setup';
import { valuesOf, type PossibleTrait } from '../facet';

/** Where nobody says it, about so much throttle. Common practice, no source. */
const USUAL_ARM_PCT = 20;

const VALUES = [
  ['always', 'it works at once', 70],
  ['after-throttle', 'it works after the throttle was opened once', 20],
  ['position-fix', 'levelling waits for a position fix', 10],
] as const;

/** Whether a unit that starts so makes sense in a model. */
const fits = ({ airframe }: Setup, start: (typeof VALUES)[number][0]): boolean =>
  start === 'always' ||
  (start === 'after-throttle' ? airframe.motors.length > 0 : !kindOf(airframe).onSurface);

/** When it starts to work. */
export const arming: PossibleTrait = {
  facets: (setup) => {
    const now = setup.unit.traits.arming;
    return [
      {
        id: 'arming',
        title: 'when it starts to work',
        of: ['traits', 'arming'],
        restsOn: RESTS_ON.arming,
        now,
        values: valuesOf(
          VALUES.filter(([start]) => start === now || fits(setup, start)),
          ({ unit: { traits } }, key) => {
            traits.arming = key;
            if (key === 'after-throttle' && traits.armThrottlePct === 0)
              traits.armThrottlePct = USUAL_ARM_PCT;
          },
        ),
      },
    ];
  },
};
