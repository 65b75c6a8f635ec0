import { byVerdict } from '../proofs';
import type { Step } from '../step';

export const program: Step = {
  id: 'program',
  title: 'Program',
  does: 'Touch a control, or a word below. Everything is worked out and proved again as you choose.',
  station: 'program',
  session: 'paper',
  cautions: [],
  applies: () => true,
  proofs: byVerdict,
  after: () => [],
};
