import { byTest } from '../proofs';
import type { Step } from '../step';

export const identify: Step = {
  id: 'identify',
  title: 'Identify',
  does: 'Write down versions, update first, reset what has a past, bind.',
  station: 'identify',
  session: 'prop-off',
  cautions: ['prop-off'],
  applies: () => true,
  rules: ['M27'],
  proofs: byTest('identify'),
  after: () => ['safe'],
};
