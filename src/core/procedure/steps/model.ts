import type { Step } from '../step';

export const model: Step = {
  id: 'model',
  title: 'Model',
  does: 'Measure what was only assumed, or say that it is right as it is.',
  station: 'model',
  session: 'paper',
  cautions: [],
  applies: () => true,
  proofs: ({ setup }) => [
    {
      what: 'its measures are yours, not the usual ones of its kind',
      status: (setup.airframe.assumed ?? []).length > 0 ? 'todo' : 'proven',
      reasons: [],
    },
  ],
  after: () => [],
};
