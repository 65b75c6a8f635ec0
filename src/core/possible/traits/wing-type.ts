import { MIXED_AXES, mixesItself } from '../../chain';
import { valuesOf, type PossibleTrait } from '../facet';

const VALUES = [
  ['normal', 'it mixes nothing', 70],
  ['delta', 'it mixes for a delta', 15],
  ['v-tail', 'it mixes for a V-tail', 15],
] as const;

/** What it mixes by itself: a used unit stands as its last model had it. */
export const wingType: PossibleTrait = {
  facets: ({ unit: { traits, settings } }) => {
    if (!mixesItself(traits)) return [];
    const values = VALUES.filter(([wing]) =>
      (MIXED_AXES[wing] ?? []).every((axis) => traits.axes.includes(axis)),
    );
    if (values.length < 2) return [];
    return [
      {
        id: 'wing-type',
        title: 'what it mixes by itself',
        of: ['settings', 'wingType'],
        now: values.some(([wing]) => wing === settings.wingType) ? settings.wingType : undefined,
        values: valuesOf(values, (next, wing) => {
          next.unit.settings.wingType = wing;
        }),
      },
    ];
  },
};
