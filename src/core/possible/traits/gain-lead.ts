import { RESTS_ON } from '../../chain';
import { valuesOf, type PossibleTrait } from '../facet';

const VALUES = [
  ['keeps-last', 'without a gain pulse it keeps the last gain', 45],
  ['zero', 'without a gain pulse it does nothing', 40],
  ['full', 'without a gain pulse it gives full gain', 15],
] as const;

/** What it does with its gain lead out, or with no pulse on it. */
export const gainLead: PossibleTrait = {
  facets: ({ unit }) =>
    unit.traits.gainLaw === 'fixed'
      ? []
      : [
          {
            id: 'gain-lead',
            title: 'without a gain pulse',
            of: ['traits', 'gainLeadMissing'],
            restsOn: RESTS_ON.gainLead,
            now: unit.traits.gainLeadMissing,
            values: valuesOf(VALUES, (next, key) => {
              next.unit.traits.gainLeadMissing = key;
            }),
          },
        ],
};
