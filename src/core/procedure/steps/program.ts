import { byVerdict } from '../proofs';
import type { Step } from '../step';

export const program: Step = {
  id: 'program',
  title: 'Program',
  does: 'Press a control’s name, or a word below.',
  station: 'program',
  session: 'paper',
  cautions: [],
  applies: () => true,
  proofs: byVerdict,
  after: () => [],
};
