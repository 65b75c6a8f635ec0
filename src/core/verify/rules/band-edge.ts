import type { PatchOperation } from '../../patch';
import { isOrder, pointer, type Setup } from '../../setup';
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
    failuresOf(proof, 'mode-margins').map((failure) => {
      const remedies = rewritten(setup, 'Write mode values in the middle of their bands', (w) => w);
      return {
        ...accountOf(failure),
        remedies,
        without: [...remedies.map((r) => r.patch), wholeTravel(setup)],
      };
    }),
};

/** Every channel of the unit’s orders with its full travel, so that a plain position lies in its band. */
const wholeTravel = ({ program }: Setup): PatchOperation[] =>
  program.outputs.flatMap((o, i) =>
    isOrder(o.carries)
      ? [
          {
            op: 'replace' as const,
            path: pointer('program', 'outputs', i),
            value: { ...o, minPct: -100, maxPct: 100, subtrimPct: 0 },
          },
        ]
      : [],
  );
