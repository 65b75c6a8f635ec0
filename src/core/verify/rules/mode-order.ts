import type { Rule } from '../rule';
import { failuresOf } from '../proof';
import { rewritten } from '../repair';

export const modeOrder: Rule = {
  id: 'M2',
  title: 'The mode switch does not do what you chose',
  why: 'You expect one order. If the switch works the other way, the wrong mode comes when you need it least.',
  explains: ['modes'],
  check(setup, proof) {
    const wrong = failuresOf(proof, 'modes');
    const [first] = wrong;
    const table = setup.intents.program.modes?.table;
    if (!first || !table) return [];
    const reversed =
      wrong.length > 1 &&
      wrong.every((f) => f.about.mode === table[table.length - 1 - f.about.figure!]);
    const { about: _, ...found } = first;
    return [
      {
        ...found,
        severity: wrong.some((f) => f.severity === 'stop') ? 'stop' : 'caution',
        says:
          wrong.length === 1
            ? first.says
            : `${first.says.slice(0, -1)}${
                reversed
                  ? ': the whole order is reversed'
                  : `, and ${wrong.length - 1} more positions differ`
              }.`,
        remedies: rewritten(setup, 'Write the modes as chosen', (w) => w),
      },
    ];
  },
};
