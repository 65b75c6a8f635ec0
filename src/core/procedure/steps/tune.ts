import { byTest } from '../proofs';
import type { Step } from '../step';

export const tune: Step = {
  id: 'tune',
  title: 'Tune',
  does: 'Trim with the unit off, then find the gain: fast, then slow.',
  station: 'tune',
  session: 'out',
  afterReady: true,
  cautions: [],
  applies: ({ intents }) => intents.program.lock === undefined,
  proofs: byTest('tune'),
  after: () => ['preflight', 'chassis'],
};
