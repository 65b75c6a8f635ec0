import { steeringScript } from '../../preparation';
import { kindOf } from '../../setup';
import { byTest } from '../proofs';
import type { Step } from '../step';

export const steering: Step = {
  id: 'steering',
  title: 'Steering',
  does: 'Set left and right ends one by one, so that the steering meets its stop just when your hand does.',
  said: ({ airframe }) =>
    kindOf(airframe).moves === 'water'
      ? {
          does: 'Set left and right ends one by one, so that the rudder meets its stop just when your hand does.',
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
