import { kindOf } from '../../setup';
import { byTest } from '../proofs';
import type { Step } from '../step';

export const chassis: Step = {
  id: 'chassis',
  title: 'Chassis first',
  does: 'Gyro off: find what it would hide, before it hides it.',
  said: ({ airframe }) => (kindOf(airframe).moves === 'water' ? { title: 'Hull first' } : {}),
  station: 'chassis',
  session: 'out',
  cautions: ['clear-behind'],
  applies: ({ airframe }) => kindOf(airframe).onSurface,
  proofs: byTest('chassis'),
  // Driven with the gyro off: what the bench has shown of it must hold.
  after: () => ['entry', 'plain-model', 'sticks', 'steering', 'failsafe'],
};
