import { mixerOf, neededFunctions, orderFunctions } from '../../plan';
import type { Rule } from '../finding';

export const missingChannel: Rule = {
  id: 'M25',
  title: 'A function without a channel',
  why: 'What has no channel cannot be worked; without a mode or gain channel the unit cannot be told anything.',
  check(setup) {
    const { airframe, unit, program, installation } = setup;
    const sent = new Set(program.outputs.map((o) => o.carries));
    const standIns = new Set(['aileron2', 'elevator2', 'throttle2', 'wheel', 'flap2', 'recovery']);
    const needed = [
      ...neededFunctions(airframe, mixerOf(unit, setup.intents.mixer)),
      ...orderFunctions(unit),
    ];
    return needed
      .filter((f) => !sent.has(f) && !standIns.has(f) && !(f === 'gain' && !installation.gainLead))
      .map((f) => ({
        severity: f === 'mode' || f === 'gain' ? ('caution' as const) : ('stop' as const),
        says: `No channel of the transmitter carries ${f}.`,
        where: '/program/outputs',
        remedies: [],
      }));
  },
};
