import { CENTRE_US, compileChain } from '../chain';
import type { Setup } from '../setup';
import { gainKnobOf } from './gain-knob';

/** What a knob with its off in the middle does on one of its sides. */
export interface GainSide {
  /** "Dial to the left" */
  hand: string;
  /** The knob, and the end it is turned to. */
  control: string;
  value: -100 | 100;
  /** In the unit’s words. */
  does: string;
}

/**
 * Both sides of the gain knob with what they do, asked of the chain: which side is which goes by the
 * transmitter’s sign. Nothing where no knob has two sides, or the unit has no words for them.
 */
export function gainSides(setup: Setup): GainSide[] {
  const words = setup.unit.traits.gainSides;
  const channel = setup.program.outputs.find((o) => o.carries === 'gain')?.channel;
  const wish = setup.intents.program.gain;
  const knob = gainKnobOf(setup)?.control;
  if (!words || !knob || channel === undefined || wish?.by !== 'knob' || !wish.middleOff) return [];
  const chain = compileChain(setup);
  const frame = chain.newFrame();
  const at = chain.layout.controls.get(knob.id)!;
  return ([-100, 100] as const).map((value) => {
    const stimulus = chain.restStimulus();
    stimulus.controls[at] = value;
    chain.step(stimulus, chain.newMemory(), frame);
    const below = frame.receivedUs[channel - 1]! < CENTRE_US;
    return {
      hand: `${knob.label} ${knob.kind === 'slider' ? (value < 0 ? 'down' : 'up') : value < 0 ? 'to the left' : 'to the right'}`,
      control: knob.id,
      value,
      does: below ? words.below : words.above,
    };
  });
}
