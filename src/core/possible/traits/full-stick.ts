import { RESTS_ON } from '../../chain';
import { valuesOf, type PossibleTrait } from '../facet';

const VALUES = [
  ['limits', 'levelling limits the angle at full stick', 80],
  ['rolls-through', 'levelling lets it roll on at full stick', 20],
] as const;

/** What levelling does at full stick. */
export const fullStick: PossibleTrait = {
  facets: ({ unit }) =>
    unit.settings.slots.includes('level')
      ? [
          {
            id: 'full-stick',
            title: 'levelling at full stick',
            of: ['settings', 'levelKind'],
            restsOn: RESTS_ON.fullStick,
            now: unit.settings.levelKind ?? 'limits',
            values: valuesOf(VALUES, (next, key) => {
              next.unit.settings.levelKind = key;
            }),
          },
        ]
      : [],
};
