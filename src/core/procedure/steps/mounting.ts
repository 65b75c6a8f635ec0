import { byTest } from '../proofs';
import type { Step } from '../step';

export const mount: Step = {
  id: 'mounting',
  title: 'Mount',
  does: 'Mount it square, set its orientation, compare the picture.',
  station: 'mounting',
  session: 'prop-off',
  cautions: ['prop-off'],
  applies: () => true,
  rules: ['M18', 'M19', 'M20'],
  proofs: byTest('mounting'),
  after: () => ['identify', 'calibration'],
};
