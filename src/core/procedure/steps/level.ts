import { levels } from '../../level';
import { byTest } from '../proofs';
import type { Step } from '../step';

export const level: Step = {
  id: 'level',
  title: 'Level',
  does: 'Lay it as it flies, not as it stands, and capture level.',
  station: 'level',
  session: 'prop-off',
  cautions: ['prop-off'],
  applies: levels,
  rules: ['M21'],
  proofs: byTest('level'),
  after: () => ['corrections', 'capture'],
};
