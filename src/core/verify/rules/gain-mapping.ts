import { accountOf } from '../finding';
import { freeControl } from '../../setup';
import type { Rule } from '../rule';
import { failuresOf } from '../proof';
import { rewritten } from '../repair';

export const gainMapping: Rule = {
  id: 'M8',
  title: 'Part of the gain knob does nothing, or both its ends are full',
  why: 'A knob sends −100 to +100. A unit that reads 0 to 100 wastes its lower half; one that reads the size gives full gain at both ends.',
  explains: ['gain'],
  check: (setup, proof) =>
    failuresOf(proof, 'gain')
      .filter((f) => f.about.how !== 'crosses')
      .map((failure) => ({
        ...accountOf(failure),
        remedies: rewritten(
          setup,
          failure.about.how === 'other-value'
            ? 'Write the gains as chosen'
            : 'Use the knob’s full range for the gain',
          (w) => w,
        ),
      })),
};

export const gainCrossing: Rule = {
  id: 'M9',
  title: 'Turning the gain knob changes what the unit does',
  why: 'Where the side of the middle chooses a set, a knob that crosses it goes from damping into holding, or into the other set, without a switch being touched.',
  explains: ['gain'],
  check: (setup, proof) =>
    failuresOf(proof, 'gain')
      .filter((f) => f.about.how === 'crosses')
      .map((failure) => ({
        ...accountOf(failure),
        remedies: rewritten(setup, 'Let a switch choose the side and the knob the amount', (w) => {
          const chosen =
            w.gain?.by === 'sets'
              ? w.gain.control
              : freeControl(setup, ['switch-2', 'switch-3'])?.id;
          return chosen
            ? { ...w, gain: { by: 'sets', control: chosen, knob: failure.about.control!, pct: 50 } }
            : w;
        }),
      })),
};
