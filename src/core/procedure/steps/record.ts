import { byTest } from '../proofs';
import type { Step } from '../step';

export const record: Step = {
  id: 'record',
  title: 'Record',
  does: 'Write the outing into the log.',
  station: 'log',
  session: 'out',
  cautions: [],
  applies: () => true,
  proofs: byTest('record'),
  after: () => ['preflight'],
};
