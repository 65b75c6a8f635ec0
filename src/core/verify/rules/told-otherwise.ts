import { mountingWords } from '../../setup';
import type { Found } from '../finding';
import type { Rule } from '../rule';

export const toldOtherwise: Rule = {
  id: 'M18',
  title: 'The unit’s orientation setting is wrong',
  why: 'It mistakes one axis for another, or reverses two: its orientation was learned with the model not turned far enough, or the picture was never compared.',
  explains: ['corrections', 'level', 'panic', 'link-lost'],
  check(setup): Found[] {
    const { mounting } = setup.installation;
    const { settings, traits } = setup.unit;
    if (mounting === settings.orientation || !traits.orientations.includes(mounting)) return [];
    return [
      {
        severity: 'stop',
        says: `It is mounted ${mountingWords(mounting, setup.airframe)}, but its setting says ${mountingWords(settings.orientation, setup.airframe)}.`,
        where: '/unit/settings/orientation',
        remedies: [
          {
            label: `Set it to: ${mountingWords(mounting, setup.airframe)}`,
            patch: [{ op: 'replace', path: '/unit/settings/orientation', value: mounting }],
          },
          {
            label: `It is really mounted with its ${mountingWords(settings.orientation, setup.airframe)}`,
            patch: [{ op: 'replace', path: '/installation/mounting', value: settings.orientation }],
          },
        ],
      },
    ];
  },
};
