import { kindOf } from '../../setup';
import { byTest } from '../proofs';
import type { Step } from '../step';

export const preflight: Step = {
  id: 'preflight',
  title: 'Preflight',
  does: 'Go through the card, motor run-up last, the model held.',
  station: 'preflight',
  session: 'prop-on',
  cautions: ['hold', 'clear-behind'],
  said: ({ airframe }) => ({
    ...(airframe.motors.length === 0 ? { does: 'Go through the card, the model held.' } : {}),
    ...(kindOf(airframe).moves === 'water' ? { cautions: ['hold', 'clear-behind', 'tether'] } : {}),
  }),
  applies: () => true,
  proofs: byTest('preflight'),
  after: () => [
    'identify',
    'safe',
    'program',
    'entry',
    'unit',
    'plain-model',
    'sticks',
    'steering',
    'calibration',
    'mounting',
    'capture',
    'throws',
    'chassis',
    'corrections',
    'level',
    'panic',
    'failsafe',
  ],
};
