import { captureScript } from '../../capture';
import { kindOf, LEFT_FIRST, taughtByDriving } from '../../setup';
import { byTest } from '../proofs';
import type { Step } from '../step';

export const capture: Step = {
  id: 'capture',
  title: 'Capture',
  does: 'Teach the unit where stick centre and full travel are; again after every trim.',
  said: ({ airframe, unit }) =>
    taughtByDriving(unit)
      ? {
          title: 'Teach',
          does: `Steer ${LEFT_FIRST}: direction and both ends in one go.`,
        }
      : kindOf(airframe).onSurface
        ? { does: 'Teach the unit where the middle and both ends are; again after every trim.' }
        : {},
  station: 'capture',
  session: 'prop-off',
  cautions: ['prop-off', 'throttle-locked'],
  applies: (setup) => captureScript(setup).length > 0,
  rules: ['M15', 'M16'],
  proofs: byTest('capture'),
  after: () => ['plain-model', 'steering', 'unit', 'sticks'],
};
