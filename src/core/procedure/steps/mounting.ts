import { byTest } from '../proofs';
import type { Step } from '../step';

export const mount: Step = {
  id: 'mounting',
  title: 'Mount',
  does: 'Fix it square, tell it how it sits, compare the picture.',
  station: 'mounting',
  session: 'paper',
  cautions: [],
  applies: () => true,
  rules: ['M18', 'M19', 'M20'],
  proofs: byTest('mounting'),
  after: () => ['calibration'],
};
