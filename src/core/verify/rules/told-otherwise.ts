import { mountingPhrase } from '../../mounting';
import type { Found } from '../finding';
import type { Rule } from '../rule';

export const toldOtherwise: Rule = {
  id: 'M18',
  title: 'The unit was told another orientation than it has',
  why: 'It takes one axis for another, or two of them the wrong way round: orientation learned with the nose not far enough down, or the picture never compared.',
  explains: ['corrections'],
  check(setup): Found[] {
    const { mounting } = setup.installation;
    const { settings, traits } = setup.unit;
    if (mounting === settings.orientation || !traits.orientations.includes(mounting)) return [];
    return [
      {
        severity: 'stop',
        says: `It is fixed with its ${mountingPhrase(mounting, setup.airframe)}, and was told ${mountingPhrase(settings.orientation, setup.airframe)}.`,
        where: '/unit/settings/orientation',
        remedies: [
          {
            label: `Tell it: ${mountingPhrase(mounting, setup.airframe)}`,
            patch: [{ op: 'replace', path: '/unit/settings/orientation', value: mounting }],
          },
          {
            label: `It really sits with its ${mountingPhrase(settings.orientation, setup.airframe)}`,
            patch: [{ op: 'replace', path: '/installation/mounting', value: settings.orientation }],
          },
        ],
      },
    ];
  },
};
