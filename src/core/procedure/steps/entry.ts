import { byReading, byTest } from '../proofs';
import type { Step } from '../step';

export const entry: Step = {
  id: 'entry',
  title: 'Enter and read back',
  does: 'Enter the sheet in the transmitter, then hold each pose and compare the whole monitor.',
  station: 'entry',
  session: 'prop-off',
  cautions: ['prop-off', 'throttle-locked'],
  applies: ({ program }) => program.outputs.length > 0,
  proofs: (bench) => [...byReading(bench), ...byTest('entry')(bench)],
  after: () => ['safe', 'program'],
};
