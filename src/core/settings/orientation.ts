import { choiceRow, inSettings } from './lens';
import { meansOf } from './means';
import type { Setting } from './setting';

/** "arrow to the nose, label up" */
export function mountingWords(mounting: string): string {
  const [arrow, face] = mounting.split('-');
  const side = (word: string) => (word === 'up' || word === 'down' ? word : `to the ${word}`);
  return `arrow ${side(arrow!)}, label ${side(face!)}`;
}

export const orientation: Setting = {
  id: 'orientation',
  rows({ unit }) {
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
        orientations.map((m) => [m, mountingWords(m)] as const),
      ),
    ];
  },
};
