import { byDirections } from '../proofs';
import { sticksFirst } from '../sticks-first';
import { handWords, kindOf } from '../../setup';
import type { Step } from '../step';

export const sticks: Step = {
  id: 'sticks',
  title: 'Sticks',
  does: 'With the unit off, every stick moves every surface the right way.',
  said: ({ airframe, transmitter }) => ({
    title: handWords(transmitter).title,
    ...(kindOf(airframe).onSurface
      ? { does: 'With the unit off, the steering goes the right way.' }
      : {}),
  }),
  station: 'sticks',
  session: 'prop-off',
  cautions: ['prop-off'],
  applies: () => true,
  proofs: byDirections('stick'),
  after: (setup) => (sticksFirst(setup) ? ['entry'] : ['entry', 'corrections']),
};
