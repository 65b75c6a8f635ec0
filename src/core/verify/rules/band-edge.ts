import { accountOf } from '../finding';
import type { Rule } from '../rule';
import { failuresOf } from '../proof';
import { rewritten } from '../repair';

export const bandEdge: Rule = {
  id: 'M49',
  title: 'A mode value at the edge of its band',
  why: 'A trim click, a subtrim or a transmitter with another scale flips the mode.',
  explains: ['mode-margins'],
  check: (setup, proof) =>
    failuresOf(proof, 'mode-margins').map((failure) => ({
      ...accountOf(failure),
      remedies: rewritten(setup, 'Write mode values in the middle of their bands', (w) => w),
    })),
};
