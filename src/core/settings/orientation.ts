import { choiceRow, inSettings } from './lens';
import { meansOf } from './means';
import type { Setting } from './setting';
import { mountingWords } from '../setup';

export const orientation: Setting = {
  id: 'orientation',
  rows({ unit, airframe }) {
    const { orientations } = unit.traits;
    if (orientations.length < 2) return [];
    return [
      choiceRow(
        {
          id: 'orientation',
          about: '',
          name: 'orientation',
          how:
            meansOf(unit) === 'menu'
              ? undefined
              : 'set by the way it is fixed: there is nothing to enter',
          ...inSettings('orientation'),
        },
        unit.settings.orientation,
        orientations.map((m) => [m, mountingWords(m, airframe)] as const),
      ),
    ];
  },
};
