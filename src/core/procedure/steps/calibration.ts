import { wantsSixFaces } from '../../calibration';
import { byTest } from '../proofs';
import type { Step } from '../step';

export const calibrate: Step = {
  id: 'calibration',
  title: 'Calibrate',
  does: 'Show the unit its six faces before it is fitted.',
  station: 'calibration',
  session: 'prop-off',
  cautions: ['prop-off'],
  applies: wantsSixFaces,
  proofs: byTest('calibration'),
  after: () => ['identify'],
};
