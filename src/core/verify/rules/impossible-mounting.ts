import type { Found } from '../finding';
import type { Rule } from '../rule';

export const impossibleMounting: Rule = {
  id: 'M19',
  title: 'Fixed in a way the unit cannot work',
  why: 'A unit that believes it lies otherwise takes one axis for another.',
  explains: ['corrections'],
  check(setup) {
    const { mounting } = setup.installation;
    const { orientation } = setup.unit.settings;
    const { orientations } = setup.unit.traits;
    const [arrow, label] = mounting.split('-');
    const words = `arrow to the ${arrow}, label ${label}`;
    const finding = (says: string, where: string, remedies: Found['remedies']): Found => ({
      severity: 'stop',
      says,
      where,
      remedies,
    });
    if (!orientations.includes(mounting))
      return [
        finding(
          `It is fixed with its ${words}. This unit knows only: ${orientations.join(', ')}.`,
          '/installation/mounting',
          [],
        ),
      ];
    if (mounting === orientation) return [];
    return [
      finding(
        `It is fixed with its ${words}, and was told otherwise.`,
        '/unit/settings/orientation',
        [
          {
            label: `Tell the unit: ${words}`,
            patch: [{ op: 'replace', path: '/unit/settings/orientation', value: mounting }],
          },
        ],
      ),
    ];
  },
};
