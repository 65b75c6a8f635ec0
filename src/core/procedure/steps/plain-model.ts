import { isThrow } from '../../preparation';
import { byTest } from '../proofs';
import type { Step } from '../step';

export const plainModel: Step = {
  id: 'plain-model',
  title: 'Plain model',
  does: 'With the unit off, check plugs, centres and throttle cut.',
  said: ({ airframe }) =>
    airframe.motors.length === 0 ? { does: 'With the unit off, check plugs and centres.' } : {},
  station: 'plain-model',
  session: 'prop-off',
  cautions: ['prop-off', 'throttle-locked'],
  applies: () => true,
  proofs: byTest('plain-model', (step) => !isThrow(step)),
  // A stick that is reversed afterwards would take it all away again.
  after: () => ['entry', 'sticks'],
};
