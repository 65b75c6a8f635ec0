import { accountOf } from '../finding';
import { failsafeSchools } from '../../plan';
import type { Rule } from '../rule';
import { failuresOf } from '../proof';
import { rewritten } from '../repair';

export const linkLost: Rule = {
  id: 'M13',
  title: 'What happens when the link is lost',
  why: 'A held or preset throttle takes the model away; a mode taken over from wherever the switch stood is a matter of luck.',
  explains: ['motor-lost', 'link-lost'],
  check(setup, proof) {
    const schools = failsafeSchools(setup);
    const wished = setup.intents.program.failsafe;
    const plain = schools.glide === undefined ? ('glide' as const) : ('motor-off' as const);
    const again = (label: string) => [
      ...(wished && schools[wished.school] === undefined
        ? rewritten(setup, 'Write the failsafe as wished', (w) => w)
        : []),
      ...rewritten(setup, label, (w) => ({
        ...w,
        failsafe: { school: plain, pitchDeg: plain === 'glide' ? 3 : 0, rollDeg: 0 },
      })),
    ];
    return [
      ...failuresOf(proof, 'motor-lost').map((failure) => ({
        ...accountOf(failure),
        remedies: again('Stop the motor when the link is lost'),
      })),
      ...failuresOf(proof, 'link-lost').map((failure) => ({
        ...accountOf(failure),
        remedies: again('Give it one mode for a lost link'),
      })),
    ];
  },
};
