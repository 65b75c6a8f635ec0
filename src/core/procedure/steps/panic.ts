import { hasPanic } from '../../recovery';
import { byTest } from '../proofs';
import type { Step } from '../step';

export const panic: Step = {
  id: 'panic',
  title: 'Panic',
  does: 'Press it in every switch position, the model tipped over.',
  station: 'panic',
  session: 'prop-off',
  cautions: ['prop-off', 'hold'],
  applies: hasPanic,
  proofs: byTest('panic'),
  after: () => ['corrections', 'level'],
};
