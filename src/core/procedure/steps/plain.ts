import { byDirections } from '../proofs';
import type { Step } from '../step';

export const plain: Step = {
  id: 'plain',
  title: 'Sticks',
  does: 'With the unit off, every stick moves every surface the right way.',
  station: 'directions',
  session: 'prop-off',
  cautions: ['prop-off'],
  applies: () => true,
  proofs: byDirections('stick'),
  after: ({ intents }) => (intents.school === 'unit-first' ? ['entry', 'corrections'] : ['entry']),
};
