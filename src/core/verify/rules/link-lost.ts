import type { PatchOperation } from '../../patch';
import { accountOf, type Failure, type Found } from '../finding';
import { failsafeSchools } from '../../plan';
import type { Rule } from '../rule';
import { failuresOf } from '../proof';
import { rewritten } from '../repair';

export const linkLost: Rule = {
  id: 'M13',
  title: 'What happens when the signal is lost',
  why: 'A held or preset throttle takes the model away; a mode that depends on where the switch stood is luck.',
  explains: ['motor-lost', 'link-lost'],
  check(setup, proof) {
    const schools = failsafeSchools(setup);
    const wished = setup.intents.program.failsafe;
    const plain = schools.glide === undefined ? ('glide' as const) : ('motor-off' as const);
    const again = (label: string) => [
      ...(wished && schools[wished.school] === undefined
        ? rewritten(setup, 'Write the failsafe as chosen', (w) => w)
        : []),
      ...rewritten(setup, label, (w) => ({
        ...w,
        failsafe: { school: plain, pitchDeg: plain === 'glide' ? 3 : 0, rollDeg: 0 },
      })),
    ];
    // A receiver that only holds, or sends nothing, makes the best presets worth nothing.
    const heeded: PatchOperation[] =
      (setup.installation.receiver?.lost ?? 'presets') === 'presets'
        ? []
        : [{ op: 'replace', path: '/installation/receiver/lost', value: 'presets' }];
    const account = (failure: Failure, label: string): Found => {
      const remedies = again(label);
      const patches = remedies.map((r) => r.patch);
      return {
        ...accountOf(failure),
        remedies,
        without: [...patches, heeded, ...patches.map((p) => [...p, ...heeded])],
      };
    };
    return [
      ...failuresOf(proof, 'motor-lost').map((failure) =>
        account(failure, 'Stop the motor when the signal is lost'),
      ),
      ...failuresOf(proof, 'link-lost').map((failure) =>
        account(failure, 'Give it one mode for a lost signal'),
      ),
    ];
  },
};
