import { proofOf } from '../explore';
import type { Rule } from '../finding';

export const tooMany: Rule = {
  id: 'proof',
  title: 'Not everything could be looked at',
  why: 'A program in which everything depends on everything has more states than can be visited; what was not visited is not proved.',
  check(setup) {
    const proof = proofOf(setup);
    if (proof.complete) return [];
    return [
      {
        severity: 'caution',
        says: `The unit’s orders depend on so many controls at once that their ${proof.spanned.toExponential(1)} combinations were not all visited.`,
        where: '/program',
        remedies: [],
      },
    ];
  },
};
