import { kindOf } from '../../setup';
import { byTest } from '../proofs';
import type { Step } from '../step';

export const record: Step = {
  id: 'record',
  title: 'Logbook',
  does: 'Write the flight into the log.',
  said: ({ airframe }) =>
    kindOf(airframe).onSurface ? { does: 'Write the run into the log.' } : {},
  station: 'logbook',
  session: 'out',
  afterReady: true,
  cautions: [],
  applies: () => true,
  proofs: byTest('record'),
  after: () => ['preflight'],
};
