import { byTest } from '../proofs';
import { kindOf } from '../../setup';
import type { Step } from '../step';

export const safe: Step = {
  id: 'safe',
  title: 'Make it safe',
  does: 'Propeller off before anything has power.',
  said: ({ airframe }) => ({ does: `${kindOf(airframe).safe}, before anything has power.` }),
  station: 'safe',
  session: 'table',
  cautions: [],
  applies: ({ airframe }) => airframe.motors.length > 0,
  proofs: byTest('safe'),
  after: () => [],
};
