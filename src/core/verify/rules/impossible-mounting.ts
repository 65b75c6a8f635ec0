import type { Found } from '../finding';
import type { Rule } from '../rule';
import { mountingWords, type Mounting } from '../../setup';

export const impossibleMounting: Rule = {
  id: 'M19',
  title: 'The unit does not support this mounting',
  why: 'A unit set to another mounting mistakes one axis for another.',
  explains: ['corrections', 'level', 'panic', 'link-lost'],
  check(setup) {
    const { mounting } = setup.installation;
    const { orientation } = setup.unit.settings;
    const { orientations } = setup.unit.traits;
    const said = (m: Mounting) => mountingWords(m, setup.airframe);
    const words = said(mounting);
    const finding = (says: string, where: string, remedies: Found['remedies']): Found => ({
      severity: 'stop',
      says,
      where,
      remedies,
      // As it would be if it sat the way its orientation is set.
      without: [[{ op: 'replace', path: '/installation/mounting', value: orientation }]],
    });
    if (!orientations.includes(mounting))
      return [
        finding(
          `It is mounted ${words}. This unit knows only: ${orientations.map(said).join('; or ')}.`,
          '/installation/mounting',
          [],
        ),
      ];
    if (mounting === orientation) return [];
    return [
      finding(
        `It is mounted ${words}, but its setting says otherwise.`,
        '/unit/settings/orientation',
        [
          {
            label: `Set the unit to: ${words}`,
            patch: [{ op: 'replace', path: '/unit/settings/orientation', value: mounting }],
          },
        ],
      ),
    ];
  },
};
