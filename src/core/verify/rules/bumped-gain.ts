import { gainKnobOf } from '../../plan';
import type { Found } from '../finding';
import type { Rule } from '../rule';

export const bumpedGain: Rule = {
  id: 'M23',
  title: 'The gain depends on a knob',
  why: 'Good while you are finding it. Later a sleeve turns it, and nobody notices until the model shakes or does nothing.',
  check(setup): Found[] {
    const knob = gainKnobOf(setup);
    if (!knob) return [];
    return [
      {
        severity: 'note',
        says: `${knob.control.label} sets the gain. When the right value is found, read it off and put fixed values on a switch.`,
        where: `/program/lines/${knob.line}`,
        remedies: [],
      },
    ];
  },
};
