import { byVerdict } from '../proofs';
import type { Step } from '../step';

export const program: Step = {
  id: 'program',
  title: 'Program',
  does: 'Plan channels, wish for modes, gain, panic and failsafe; have it proven.',
  station: 'proof',
  session: 'paper',
  cautions: [],
  applies: () => true,
  proofs: byVerdict,
  after: () => [],
};
