import { byTest } from '../proofs';
import type { Step } from '../step';

export const preflight: Step = {
  id: 'preflight',
  title: 'Preflight',
  does: 'Go through the card once more, motor run-up last, the model held.',
  station: 'preflight',
  session: 'prop-on',
  cautions: ['hold', 'clear-behind'],
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
    'calibration',
    'mounting',
    'capture',
    'corrections',
    'level',
    'panic',
    'failsafe',
  ],
};
