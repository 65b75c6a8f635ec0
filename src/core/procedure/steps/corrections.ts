import { hasCorrections } from '../../directions';
import { byDirections } from '../proofs';
import { sticksFirst } from '../sticks-first';
import type { Step } from '../step';

export const corrections: Step = {
  id: 'corrections',
  title: 'Corrections',
  does: 'Move the model and watch each surface, in every mode.',
  station: 'corrections',
  session: 'prop-off',
  cautions: ['prop-off'],
  applies: hasCorrections,
  proofs: byDirections('correction'),
  // Where the sticks come first the unit is taught before: what it knows of them decides what it does with them.
  after: (setup) => [
    'mounting',
    'unit',
    'entry',
    ...(sticksFirst(setup) ? (['capture', 'sticks'] as const) : []),
  ],
};
