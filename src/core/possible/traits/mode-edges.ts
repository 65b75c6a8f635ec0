import type { Setup } from '../../setup';
import type { PossibleTrait, Value } from '../facet';

/** Pulses at which three modes meet: usual pairs. Common practice, no source. */
const THREE = [
  [1333, 1667, 40],
  [1400, 1600, 20],
  [1300, 1700, 25],
  [1250, 1750, 15],
] as const;
/** And two modes. */
const TWO = [
  [1500, 60],
  [1400, 20],
  [1600, 20],
] as const;

/** At which pulses of the mode channel the mode changes. */
export const modeEdges: PossibleTrait = {
  facets: ({ unit }) => {
    const select = unit.traits.modeSelect;
    if (select.by !== 'bands') return [];
    const edges = select.bands.slice(1).map((b) => b.fromUs);
    const joined = select.bands.every((b, i) => i === 0 || b.fromUs === select.bands[i - 1]!.toUs);
    const usual: readonly (readonly number[])[] =
      edges.length === 2 ? THREE : edges.length === 1 ? TWO : [];
    if (!joined || usual.length === 0) return [];
    const value = (at: readonly number[], share: number): Value => ({
      key: at.join('-'),
      words: `its modes change at ${at.join(' and ')} µs`,
      usual: share,
      change({ unit: { traits } }: Setup) {
        if (traits.modeSelect.by !== 'bands') return;
        traits.modeSelect.bands.forEach((band, i) => {
          if (i > 0) band.fromUs = at[i - 1]!;
          if (i < at.length) band.toUs = at[i]!;
        });
      },
    });
    const values = usual.map((row) => value(row.slice(0, -1), row.at(-1)!));
    const now = edges.join('-');
    return [
      {
        id: 'mode-edges',
        title: 'where its modes change',
        of: ['traits', 'modeSelect'],
        now,
        values: values.some((v) => v.key === now) ? values : [value(edges, 20), ...values],
      },
    ];
  },
};
