import { mountingWords } from '../../setup';
import type { Found } from '../finding';
import type { Rule } from '../rule';

export const toldOtherwise: Rule = {
  id: 'M18',
  title: 'The unit is set to another orientation than it has',
  why: 'It takes one axis for another, or two of them the wrong way round: orientation learned with the model not turned far enough, or the picture never compared.',
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
            label: `Tell it: ${mountingWords(mounting, setup.airframe)}`,
            patch: [{ op: 'replace', path: '/unit/settings/orientation', value: mounting }],
          },
          {
            label: `It really sits with its ${mountingWords(settings.orientation, setup.airframe)}`,
            patch: [{ op: 'replace', path: '/installation/mounting', value: settings.orientation }],
          },
        ],
      },
    ];
  },
};
