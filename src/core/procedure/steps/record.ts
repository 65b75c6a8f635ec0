import { byTest } from '../proofs';
import type { Step } from '../step';

export const record: Step = {
  id: 'record',
  title: 'Logbook',
  does: 'Write the outing into the log.',
  station: 'logbook',
  session: 'out',
  afterReady: true,
  cautions: [],
  applies: () => true,
  proofs: byTest('record'),
  after: () => ['preflight'],
};
