import { byTest } from '../proofs';
import type { Step } from '../step';

export const plainModel: Step = {
  id: 'plain-model',
  title: 'Plain model',
  does: 'With the unit off: plugs, centres, throws and ends as they must be.',
  station: 'plain-model',
  session: 'prop-off',
  cautions: ['prop-off', 'throttle-locked'],
  applies: () => true,
  proofs: byTest('plain-model'),
  after: () => ['entry'],
};
