import { choiceRow, inSettings } from './lens';
import { meansOf } from './means';
import type { Setting } from './setting';
import { kindOf, type Manner } from '../setup';

/** "arrow to the nose, label up" */
export function mountingWords(
  mounting: string,
  { front, back }: Pick<Manner, 'front' | 'back'>,
): string {
  const [arrow, face] = mounting
    .split('-')
    .map((w) => (w === 'nose' ? front : w === 'tail' ? back : w));
  const side = (word: string) => (word === 'up' || word === 'down' ? word : `to the ${word}`);
  return `arrow ${side(arrow!)}, label ${side(face!)}`;
}

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
        orientations.map((m) => [m, mountingWords(m, kindOf(airframe))] as const),
      ),
    ];
  },
};
