import { mixesItself } from '../chain';
import { choiceRow, inSettings } from './lens';
import { howTurned } from './means';
import type { Setting } from './setting';

export const wingType: Setting = {
  id: 'wing-type',
  rows(setup) {
    const { unit } = setup;
    if (!mixesItself(unit.traits)) return [];
    return [
      choiceRow(
        {
          id: 'wing-type',
          about: '',
          name: 'wing type',
          how: howTurned(
            setup,
            'the wing',
            unit.settings.wingType === (unit.shipped?.wingType ?? 'normal'),
          ),
          ...inSettings('wingType'),
        },
        unit.settings.wingType,
        [
          ['normal', 'normal'],
          ['delta', 'delta'],
          ['v-tail', 'V-tail'],
        ] as [typeof unit.settings.wingType, string][],
      ),
    ];
  },
};
