import { showsMode } from '../../chain';
import { valuesOf, type PossibleTrait } from '../facet';

/**
 * Whether its light shows the mode. Only for a unit that is described with such a light: for any other the colours would
 * be invented.
 */
export const lights: PossibleTrait = {
  facets: ({ unit }) =>
    !showsMode(unit)
      ? []
      : [
          {
            id: 'lights',
            title: 'whether its light shows the mode',
            of: ['traits', 'lights'],
            sign: true,
            now: 'as-described',
            values: valuesOf(
              [
                ['as-described', 'its light shows the mode as described', 75],
                ['silent', 'its light is the same in every mode', 25],
              ] as const,
              ({ unit: { traits } }, key) => {
                if (key === 'silent') traits.lights = [];
              },
            ),
          },
        ],
};
