import { accountOf } from '../finding';
import { compileChain } from '../../chain';
import { modesAt } from '../../plan';
import type { Mode, ModeWish, Setup } from '../../setup';
import type { Rule } from '../rule';
import { failuresOf } from '../proof';
import { BLOCKS } from '../requirements';
import { rewritten } from '../repair';

/** The table with off, or else damping, where the switches rest; as it is where it is calm already. */
function calmAtRest(setup: Setup, { switches, table }: ModeWish): Mode[] {
  const { controls } = setup.transmitter;
  const rest = modesAt(compileChain(setup), switches).findIndex((cell) =>
    switches.every((id) => controls.find((c) => c.id === id)!.rest === cell.controls[id]),
  );
  const calm = table.includes('off') ? table.indexOf('off') : table.indexOf('rate');
  if (rest < 0 || calm < 0 || !BLOCKS.has(table[rest]!)) return table;
  return table.map((mode, i) => (i === rest ? table[calm]! : i === calm ? table[rest]! : mode));
}

export const restMode: Rule = {
  id: 'M1',
  title: 'At rest the unit is in a mode that blocks set-up',
  why: 'At its rest position the mode switch chooses self-levelling or home: some units then refuse their menus or the throttle, and the surfaces move by themselves at power-up.',
  explains: ['rest'],
  check: (setup, proof) =>
    failuresOf(proof, 'rest').map((failure) => ({
      ...accountOf(failure),
      remedies: rewritten(setup, 'Put off or damping at the rest position', (w) =>
        w.modes ? { ...w, modes: { ...w.modes, table: calmAtRest(setup, w.modes) } } : w,
      ),
    })),
};
