import type { Found } from '../finding';
import type { Rule } from '../rule';

export const secondHand: Rule = {
  id: 'M27',
  title: 'Second-hand and not reset',
  why: 'Settings from its last model remain in menus nobody opens.',
  check({ installation }): Found[] {
    if (!installation.secondHand || installation.revisions.unitReset > 0) return [];
    return [
      {
        severity: 'stop',
        says: 'The unit is second-hand, and no reset is recorded.',
        where: '/installation/revisions/unitReset',
        remedies: [
          {
            label: 'It has been reset to factory settings',
            patch: [{ op: 'replace', path: '/installation/revisions/unitReset', value: 1 }],
          },
        ],
      },
    ];
  },
};
