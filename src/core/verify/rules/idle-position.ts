import { compileChain } from '../../chain';
import { modesAt } from '../../plan';
import type { Found } from '../finding';
import type { Rule } from '../rule';
import { rewritten } from '../repair';

export const idlePosition: Rule = {
  id: 'M37',
  title: 'The switch moves, the mode does not',
  why: 'Some units ship with a mode switched off: the position is there and gives the mode beside it.',
  explains: ['modes'],
  check(setup): Found[] {
    const line = setup.program.lines.find(
      (l) => l.purpose === 'mode' && l.follows.kind === 'control',
    );
    const wish = setup.intents.program.modes;
    const switches =
      wish?.switches ?? (line?.follows.kind === 'control' ? [line.follows.id] : undefined);
    if (!switches || switches.length > 1) return [];
    const control = setup.transmitter.controls.find((c) => c.id === switches[0]);
    if (!control?.kind.startsWith('switch')) return [];
    const cells = modesAt(compileChain(setup), switches);
    return cells.slice(1).flatMap((cell, i): Found[] => {
      const before = cells[i]!;
      const wanted = wish ? wish.table[i] === wish.table[i + 1] : false;
      if (cell.mode !== before.mode || wanted) return [];
      return [
        {
          severity: 'caution',
          says: `${before.words} and ${cell.words} both give ${cell.mode}.`,
          where: '/unit/settings/slots',
          about: { mode: cell.mode },
          witness: { controls: cell.controls, words: cell.words },
          remedies: wish ? rewritten(setup, 'Write the modes as chosen', (w) => w) : [],
        },
      ];
    });
  },
};
