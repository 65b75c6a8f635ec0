import { isThrow, plainScript } from '../../preparation';
import { byTest } from '../proofs';
import type { Step } from '../step';

export const throws: Step = {
  id: 'throws',
  title: 'Throws and ends',
  does: 'Measure every throw and listen at both ends, once nothing moves them any more.',
  station: 'throws',
  session: 'prop-off',
  cautions: ['prop-off', 'throttle-locked'],
  applies: (setup) => plainScript(setup).some(isThrow),
  proofs: byTest('plain-model', isThrow),
  // A turned stick swaps the ends, and what the unit learns of the sticks scales them.
  after: () => ['plain-model', 'sticks', 'capture'],
};
