import { mixerOf, neededFunctions, orderFunctions } from '../../plan';
import { functionOf } from '../../setup';
import type { Rule } from '../rule';

export const missingChannel: Rule = {
  id: 'M25',
  title: 'A function without a channel',
  why: 'Nothing controls what has no channel; without a mode or gain channel you cannot command the unit.',
  explains: ['sticks', 'corrections', 'devices'],
  check(setup) {
    const { airframe, unit, program, installation } = setup;
    const sent = new Set(program.outputs.map((o) => o.carries));
    const needed = [
      ...neededFunctions(airframe, mixerOf(unit, setup.intents.mixer)),
      ...orderFunctions(unit),
    ];
    return needed
      .filter((f) => {
        const { standIn } = functionOf(f);
        const served = standIn !== undefined && sent.has(standIn);
        // Recovery by a channel is a choice; panic can come by the mode channel as well.
        return (
          !sent.has(f) && !served && f !== 'recovery' && !(f === 'gain' && !installation.gainLead)
        );
      })
      .map((f) => ({
        severity: f === 'mode' || f === 'gain' ? ('caution' as const) : ('stop' as const),
        says: `No channel of the transmitter carries ${functionOf(f).words}.`,
        where: '/program/outputs',
        remedies: [],
      }));
  },
};
