import { checksFor } from '../../directions';
import { byDirections } from '../proofs';
import type { Step } from '../step';

export const corrections: Step = {
  id: 'corrections',
  title: 'Corrections',
  does: 'Move the model and watch each surface, in every mode.',
  station: 'corrections',
  session: 'prop-off',
  cautions: ['prop-off'],
  applies: (setup) => checksFor(setup).some((c) => c.kind === 'correction'),
  proofs: byDirections('correction'),
  after: ({ unit, intents }) => [
    'mounting',
    'unit',
    'entry',
    // What the unit was taught of the sticks decides what it does with them.
    'capture',
    ...(intents.school === 'sticks-first' || unit.traits.correctionDirection === 'learned'
      ? (['sticks'] as const)
      : []),
  ],
};
