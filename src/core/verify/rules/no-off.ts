import { accountOf } from '../finding';
import type { Found } from '../finding';
import type { Rule } from '../rule';
import { failuresOf } from '../proof';
import { rewritten } from '../repair';

export const noOff: Rule = {
  id: 'M50',
  title: 'No single movement switches everything off',
  why: 'When the unit does something wrong there is time for one movement, found by touch.',
  explains: ['master-off'],
  check(setup, proof): Found[] {
    const { traits } = setup.unit;
    if (!traits.modes.includes('off') && traits.gainLaw === 'fixed')
      return [
        {
          severity: 'note',
          says: 'This unit cannot be switched off from the transmitter: test it on the bench all the more carefully.',
          where: '/program/lines',
          remedies: [],
        },
      ];
    return failuresOf(proof, 'master-off').map((failure) => ({
      ...accountOf(failure),
      remedies: rewritten(setup, 'Put off at one end of the mode switch', (w) =>
        w.modes && traits.modes.includes('off')
          ? { ...w, modes: { ...w.modes, table: ['off', ...w.modes.table.slice(1)] } }
          : w,
      ),
    }));
  },
};
