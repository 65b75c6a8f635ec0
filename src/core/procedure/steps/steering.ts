import { steeringScript } from '../../preparation';
import { kindOf } from '../../setup';
import { byTest } from '../proofs';
import type { Step } from '../step';

export const steering: Step = {
  id: 'steering',
  title: 'Steering',
  does: 'Set the left and right endpoints one by one, so that the steering reaches its stop just when your control does.',
  said: ({ airframe }) =>
    kindOf(airframe).moves === 'water'
      ? {
          does: 'Set the left and right endpoints one by one, so that the rudder reaches its stop just when your control does.',
        }
      : {},
  station: 'steering',
  session: 'prop-off',
  cautions: ['prop-off', 'throttle-locked'],
  applies: (setup) => steeringScript(setup).length > 0,
  rules: ['M35'],
  proofs: byTest('steering'),
  // A turned steering swaps its ends.
  after: () => ['entry', 'sticks'],
};
