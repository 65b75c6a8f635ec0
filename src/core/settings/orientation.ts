import { choiceRow, inSettings } from './lens';
import { meansOf } from './means';
import type { Setting } from './setting';
import { howOrientationIsLearned, mountingWords } from '../setup';

const NOTHING_TO_ENTER = 'set by the way it is mounted: there is nothing to enter';

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
            howOrientationIsLearned(unit, airframe) ??
            (meansOf(unit) === 'menu' ? undefined : NOTHING_TO_ENTER),
          ...(howOrientationIsLearned(unit, airframe) === undefined && meansOf(unit) !== 'menu'
            ? { isGiven: true as const }
            : {}),
          ...inSettings('orientation'),
        },
        unit.settings.orientation,
        // What is set has words of its own, whatever this unit can be set to.
        [...new Set([...orientations, unit.settings.orientation])].map(
          (m) => [m, mountingWords(m, airframe)] as const,
        ),
      ),
    ];
  },
};
