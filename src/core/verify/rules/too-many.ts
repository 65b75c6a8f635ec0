import type { Rule } from '../rule';

export const tooMany: Rule = {
  id: 'proof',
  title: 'Not everything could be checked',
  why: 'A program in which everything depends on everything has more states than can be visited; what was not visited is not proved.',
  check(_, proof) {
    const left = [...new Set(proof.results.flatMap((r) => r.leftOut))];
    return left.map((words) => ({
      severity: 'caution' as const,
      says: `Not proven. ${words}.`,
      where: '/program',
      remedies: [],
    }));
  },
};
