import { lockScript } from '../../tuning';
import { byTest } from '../proofs';
import type { Step } from '../step';

export const lock: Step = {
  id: 'lock',
  title: 'Lock it in',
  does: 'Take the gain off the knob: fixed values on a switch.',
  station: 'lock',
  session: 'out',
  afterReady: true,
  cautions: [],
  applies: (setup) => setup.intents.program.lock === undefined && lockScript(setup).length > 0,
  proofs: byTest('lock'),
  after: () => ['tune'],
};
