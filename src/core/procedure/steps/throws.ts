import { isThrow } from '../../preparation';
import { kindOf } from '../../setup';
import { byTest } from '../proofs';
import type { Step } from '../step';

export const throws: Step = {
  id: 'throws',
  title: 'Throws and endpoints',
  does: 'Measure every throw and listen at both ends, once everything that affects them is set.',
  station: 'throws',
  session: 'prop-off',
  cautions: ['prop-off', 'throttle-locked'],
  // What steers on wheels or water has a station of its own for them.
  applies: ({ airframe }) => !kindOf(airframe).onSurface,
  proofs: byTest('plain-model', isThrow),
  // A turned stick swaps the ends, and what the unit learns of the sticks scales them.
  after: () => ['plain-model', 'sticks', 'capture'],
};
