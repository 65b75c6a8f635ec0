import { compileChain, stickOf } from '../../chain';
import { pointer } from '../../setup';
import type { Finding, Rule } from '../finding';

const ENDS = {
  aileron: ['left', 'right'],
  elevator: ['back', 'away from you'],
  throttle: ['low', 'high'],
  rudder: ['left', 'right'],
} as const;

export const stickCorner: Rule = {
  id: 'M30',
  title: 'The stick corner of a gesture is elsewhere',
  why: 'The unit looks at pulses, the leaflet at sticks. With a channel reversed, the corner the leaflet shows is another corner.',
  check(setup): Finding[] {
    if (!setup.unit.traits.captureGestures.includes('stick-corners')) return [];
    const chain = compileChain(setup);
    const frame = chain.newFrame();
    const moved = (['aileron', 'elevator', 'throttle', 'rudder'] as const).flatMap((f) => {
      const at = stickOf(setup.transmitter, f);
      const output = setup.program.outputs.findIndex((o) => o.carries === f);
      if (at < 0 || output < 0) return [];
      const channel = setup.program.outputs[output]!.channel - 1;
      const read = (value: number) => {
        const stimulus = chain.restStimulus();
        for (let i = 0; i < stimulus.controls.length; i++)
          if (setup.transmitter.controls[i]!.kind.startsWith('switch')) stimulus.controls[i] = 100;
        stimulus.controls[at] = value;
        chain.step(stimulus, chain.newMemory(), frame);
        return frame.sentUs[channel]!;
      };
      return read(100) < read(-100) - 1 ? [{ f, output }] : [];
    });
    const [first] = moved;
    if (!first) return [];
    const words = moved.map(
      ({ f }) => `where the leaflet has the ${f} stick ${ENDS[f][0]}, hold it ${ENDS[f][1]}`,
    );
    return [
      {
        rule: 'M30',
        severity: 'caution',
        says: `For a stick-corner capture, ${words.join('; ')}: ${moved.length > 1 ? 'these channels are' : 'this channel is'} reversed on the way to the unit.`,
        where: pointer('program', 'outputs', first.output, 'reversed'),
        remedies: [],
      },
    ];
  },
};
