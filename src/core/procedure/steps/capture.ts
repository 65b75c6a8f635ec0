import { captureScript } from '../../capture';
import { kindOf, LEFT_FIRST, taughtByDriving } from '../../setup';
import { byTest } from '../proofs';
import type { Step } from '../step';

export const capture: Step = {
  id: 'capture',
  title: 'Capture',
  does: 'Capture stick centre and full travel; repeat after every trim change.',
  said: ({ airframe, unit }) =>
    taughtByDriving(unit)
      ? {
          title: 'Capture',
          does: `Steer ${LEFT_FIRST}: direction and both ends in one go.`,
        }
      : kindOf(airframe).onSurface
        ? { does: 'Capture the centre and both ends; repeat after every trim change.' }
        : {},
  station: 'capture',
  session: 'prop-off',
  cautions: ['prop-off', 'throttle-locked'],
  applies: (setup) => captureScript(setup).length > 0,
  rules: ['M15', 'M16'],
  proofs: byTest('capture'),
  after: () => ['plain-model', 'steering', 'unit', 'sticks'],
};
