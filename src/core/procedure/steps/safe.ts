import { byTest } from '../proofs';
import type { Step } from '../step';

export const safe: Step = {
  id: 'safe',
  title: 'Make it safe',
  does: 'Propeller off, throttle cut tried.',
  station: 'bench',
  session: 'prop-off',
  cautions: ['prop-off'],
  applies: ({ airframe }) => airframe.motors.length > 0,
  proofs: byTest('safe'),
  after: () => [],
};
