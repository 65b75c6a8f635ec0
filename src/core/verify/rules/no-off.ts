import { isOn, proofOf } from '../explore';
import type { Found, Rule } from '../finding';
import { rewritten, rowWords, witnessOf } from '../witness';

export const noOff: Rule = {
  id: 'M50',
  title: 'No single movement switches everything off',
  why: 'When the unit does something wrong in the air there is time for one movement, found by touch.',
  check(setup): Found[] {
    const proof = proofOf(setup);
    const on = proof.rows.find(isOn);
    if (!on || proof.masterOff.length > 0 || !proof.complete) return [];
    const { traits } = setup.unit;
    const could = traits.modes.includes('off') || traits.gainLaw !== 'fixed';
    return [
      {
        severity: could ? 'caution' : 'note',
        says: could
          ? `From ${rowWords(setup, proof, on)}, and wherever else the unit is on, there is no one control that always turns it off.`
          : 'This unit cannot be switched off in the air: prove it on the bench all the more.',
        where: '/program/lines',
        witness: witnessOf(setup, on.path, rowWords(setup, proof, on)),
        remedies: could
          ? rewritten(setup, 'Put off on an end of the mode switch', (w) =>
              w.modes && traits.modes.includes('off')
                ? { ...w, modes: { ...w.modes, table: ['off', ...w.modes.table.slice(1)] } }
                : w,
            )
          : [],
      },
    ];
  },
};
