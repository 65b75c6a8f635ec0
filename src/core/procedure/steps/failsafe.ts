import { byTest } from '../proofs';
import type { Step } from '../step';

export const failsafe: Step = {
  id: 'failsafe',
  title: 'Failsafe',
  does: 'Switch the transmitter off with the model held, and watch.',
  station: 'failsafe',
  session: 'link-off',
  cautions: ['prop-off', 'hold'],
  applies: () => true,
  proofs: byTest('failsafe'),
  after: () => ['entry', 'unit', 'corrections', 'level'],
};
