import { compileChain, stickOf, switchValue, positionsOf } from '../../chain';
import { pointer } from '../../setup';
import type { Found } from '../finding';
import type { Rule } from '../rule';

export const neverArms: Rule = {
  id: 'M32',
  title: 'The throttle never passes the arming point',
  why: 'Until the throttle has passed it once the unit is a plain receiver: corrections "do not work", on the bench and out there.',
  explains: ['corrections'],
  check(setup): Found[] {
    const { traits, settings } = setup.unit;
    if (traits.arming !== 'after-throttle') return [];
    const input = settings.inputs.find((i) => i.carries === 'throttle');
    const at = stickOf(setup.transmitter, 'throttle');
    const where = pointer('unit', 'traits', 'armThrottlePct');
    if (!input || at < 0)
      return [
        {
          severity: 'stop',
          says: `This unit waits for the throttle to pass ${traits.armThrottlePct} %, and no throttle stick reaches it.`,
          where,
          remedies: [],
        },
      ];
    const chain = compileChain(setup);
    const frame = chain.newFrame();
    // A throttle cut must be off for it: each switch is tried in each place.
    const arms = setup.transmitter.controls.some((control, i) => {
      const places = control.kind.startsWith('switch') ? positionsOf(control.kind) : 1;
      return Array.from({ length: places }, (_, p) => p).some((p) => {
        const stimulus = chain.restStimulus();
        if (control.kind.startsWith('switch')) stimulus.controls[i] = switchValue(control.kind, p);
        stimulus.controls[at] = 100;
        chain.step(stimulus, chain.newMemory(), frame);
        return frame.armed;
      });
    });
    if (arms) return [];
    return [
      {
        severity: 'stop',
        says: `With the throttle stick full the unit still sees less than the ${traits.armThrottlePct} % at which it starts to work: check the endpoints and direction of channel ${input.channel}.`,
        where: pointer(
          'program',
          'outputs',
          Math.max(
            0,
            setup.program.outputs.findIndex((o) => o.channel === input.channel),
          ),
        ),
        remedies: [],
      },
    ];
  },
};
