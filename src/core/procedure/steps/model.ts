import type { Step } from '../step';

export const model: Step = {
  id: 'model',
  title: 'Model',
  does: 'Measure what is assumed, or confirm it.',
  station: 'model',
  session: 'paper',
  cautions: [],
  applies: () => true,
  proofs: ({ setup }) => [
    {
      what: 'its measures are your own, not typical ones',
      status: (setup.airframe.assumed ?? []).length > 0 ? 'todo' : 'proven',
      reasons: [],
    },
  ],
  after: () => [],
};
