import { valuesOf, type PossibleTrait } from '../facet';

const VALUES = [
  ['full-range', 'its gain rises from −100 to +100', 45],
  ['zero-to-full', 'its gain rises from 0 to +100', 25],
  ['magnitude', 'the size of the gain value counts, not its sign', 20],
  ['sign-selects-set', 'the sign of the gain value chooses a set', 10],
] as const;

/** What it makes of its gain channel. */
export const gainLaw: PossibleTrait = {
  facets: ({ unit }) =>
    unit.traits.gainLaw === 'fixed'
      ? []
      : [
          {
            id: 'gain-law',
            title: 'how it reads its gain channel',
            of: ['traits', 'gainLaw'],
            now: unit.traits.gainLaw,
            values: valuesOf(VALUES, (next, key) => {
              next.unit.traits.gainLaw = key;
            }),
          },
        ],
};
