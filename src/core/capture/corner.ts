import { compileChain, stickOf } from '../chain';
import { capital, type Setup, type StickHolds } from '../setup';

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

/** A stick of a gesture, and where it is held. */
export type Hold = { stick: StickName; to: string };

/** Where the sticks of a gesture are held on this transmitter: a reversed channel moves them to their other end. */
export function holdsOf(setup: Setup, holds: StickHolds): Hold[] {
  const moved = new Set(movedSticks(setup).map((m) => m.stick));
  return holds.flatMap(({ stick: carries, at }) => {
    const stick = STICKS.find((s) => s === carries);
    if (!stick) return [];
    const [low, high] = STICK_ENDS[stick];
    return [{ stick, to: at > 0 === moved.has(stick) ? low : high }];
  });
}

const LIST = new Intl.ListFormat('en-GB');

/** "the elevator stick back, the aileron stick right and the rudder stick left" */
export const holdWords = (holds: readonly Hold[]): string =>
  LIST.format(holds.map((h) => `the ${h.stick} stick ${h.to}`));

/** How to hold the sticks for a gesture the leaflet shows in a corner, after all reversals. */
export function cornerWords(moved: readonly MovedStick[]): string {
  if (moved.length === 0) return 'No stick is reversed: hold them where the leaflet shows.';
  return `${capital(movedWords(moved))}.`;
}

/** "where the leaflet has the elevator stick back, hold it away from you" */
export const movedWords = (moved: readonly MovedStick[]): string =>
  `where the leaflet has ${moved.map((m) => `the ${m.stick} stick ${m.shown}, hold it ${m.hold}`).join('; where it has ')}`;
