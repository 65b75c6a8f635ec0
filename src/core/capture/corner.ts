import { compileChain, stickOf } from '../chain';
import type { Setup } from '../setup';

export const STICKS = ['aileron', 'elevator', 'throttle', 'rudder'] as const;
export type StickName = (typeof STICKS)[number];

/** Where each stick goes with its pulse at the short and at the long end. */
export const STICK_ENDS: Record<StickName, readonly [low: string, high: string]> = {
  aileron: ['left', 'right'],
  elevator: ['back', 'away from you'],
  throttle: ['low', 'high'],
  rudder: ['left', 'right'],
};

/** A stick whose longer pulse is at its other end: a gesture shown by sticks is elsewhere on it. */
export interface MovedStick {
  stick: StickName;
  channel: number;
  /** Position of its output in the program. */
  output: number;
  /** Where to hold it for what the leaflet shows at its low end. */
  hold: string;
  shown: string;
}

/** Sticks that reach the unit reversed, found by asking the chain for both ends. */
export function movedSticks(setup: Setup): MovedStick[] {
  const chain = compileChain(setup);
  const frame = chain.newFrame();
  return STICKS.flatMap((stick) => {
    const at = stickOf(setup.transmitter, stick);
    const output = setup.program.outputs.findIndex((o) => o.carries === stick);
    if (at < 0 || output < 0) return [];
    const { channel } = setup.program.outputs[output]!;
    const read = (value: number) => {
      const stimulus = chain.restStimulus();
      // Switches out of the way: a throttle cut must not hide its stick.
      for (let i = 0; i < stimulus.controls.length; i++)
        if (setup.transmitter.controls[i]!.kind.startsWith('switch')) stimulus.controls[i] = 100;
      stimulus.controls[at] = value;
      chain.step(stimulus, chain.newMemory(), frame);
      return frame.sentUs[channel - 1]!;
    };
    if (read(100) >= read(-100) - 1) return [];
    const [low, high] = STICK_ENDS[stick];
    return [{ stick, channel, output, hold: high, shown: low }];
  });
}

/** How to hold the sticks for a gesture the leaflet shows in a corner, after all reversals. */
export function cornerWords(moved: readonly MovedStick[]): string {
  return moved.length === 0
    ? 'No stick is reversed: hold them where the leaflet shows.'
    : `Where the leaflet has ${moved.map((m) => `the ${m.stick} stick ${m.shown}, hold it ${m.hold}`).join('; where it has ')}.`;
}
