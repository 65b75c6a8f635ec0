import { byTest } from '../proofs';
import type { Step } from '../step';

export const unitSettings: Step = {
  id: 'unit',
  title: 'Unit settings',
  does: 'Enter the unit’s settings from the sheet.',
  station: 'settings',
  session: 'prop-off',
  cautions: ['prop-off', 'throttle-locked'],
  applies: () => true,
  proofs: byTest('unit'),
  after: () => ['identify', 'safe', 'program'],
};
