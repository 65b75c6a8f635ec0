import type { Found } from '../finding';
import type { Rule } from '../rule';

export const secondHand: Rule = {
  id: 'M27',
  title: 'Second-hand and not reset',
  why: 'Settings of the model it was in before hide in menus nobody opens.',
  check({ installation }): Found[] {
    if (!installation.secondHand || installation.revisions.unitReset > 0) return [];
    return [
      {
        severity: 'stop',
        says: 'The unit has a past, and no reset is written down.',
        where: '/installation/revisions/unitReset',
        remedies: [
          {
            label: 'It has been reset to how it left the factory',
            patch: [{ op: 'replace', path: '/installation/revisions/unitReset', value: 1 }],
          },
        ],
      },
    ];
  },
};
