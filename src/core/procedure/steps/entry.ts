import { readBacksOf } from '../../sheets';
import { byReading } from '../proofs';
import type { Step } from '../step';

export const entry: Step = {
  id: 'entry',
  title: 'Enter and read back',
  does: 'Enter the sheet in the transmitter, read every position back on the monitor.',
  station: 'entry',
  session: 'prop-off',
  cautions: ['prop-off', 'throttle-locked'],
  applies: (setup) => readBacksOf(setup).length > 0,
  proofs: byReading,
  after: () => ['safe', 'program'],
};
