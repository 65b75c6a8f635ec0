import { MOVEMENT_WORDS, type Movement } from '../chain';
import { sentences, type Named, type Sentence } from '../script';
import type { Manner } from '../setup';

type Moves = Manner['moves'];

const percents = (values: readonly number[]) => values.map((p) => `${p} %`).join(', ');

/** Where the gain starts. */
export const GAIN = sentences('preflight-gain', {
  'knob-by-practice': ({ knob }: { knob: Named }) =>
    `${knob.label} at half or less (common practice, no source), where you can find it by touch`,
  knob: ({ knobs }: { knobs: Named[] }) =>
    `${knobs.map((k) => k.label).join(', ')} at half or less, where you can find it by touch`,
  values: ({ control, pct }: { control: Named; pct: number[] }) =>
    `${control.label}: ${percents(pct)}; start at the lowest`,
  flap: ({ off, pct }: { off: Named; pct: number[] }) =>
    `gain off on ${off.label}, then as the flaps have it: ${percents(pct)}`,
  sets: ({ control, pct }: { control: Named; pct: number }) =>
    `${control.label}: ${pct} % to either side`,
  fixed: ({ pct }: { pct: number }) => `fixed at ${pct} %: nothing to set`,
});

/** What is done before every flight or run. */
export const DO = sentences('preflight', {
  'look-over': ({ fitted }: { fitted: Moves | undefined }) =>
    `Check leads, aerials, the unit’s tape, horns and rods, battery.${fitted ? ` ${fitted === 'wheels' ? 'Pinion in' : 'Propeller on'} and tight: throttle cut on, and the model held, until the run-up.` : ''}`,
  'set-controls': ({ controls }: { controls: Named[] }) =>
    `${controls.map((c) => c.label).join(', ')}.`,
  move: ({ move }: { move: Named }) => `${move.label}.`,
  'through-modes': () =>
    'Move the mode switch through its positions. Watch the light, or what the unit does.',
  'set-gain': () => 'Set the gain to its starting value.',
  'try-panic': () => 'Tip the model to one side and press panic.',
  'try-launch': ({ control, holdS }: { control: Named; holdS: number }) =>
    `Model in your hands, as for a throw. Hold ${control.label} for ${holdS} s, then release it. Afterwards move the aileron stick.`,
  'wait-for-fix': () => 'Wait with the model in the open until the unit has its position fix.',
  'link-off-and-on': ({ held, clear }: { held: boolean; clear: boolean }) =>
    `${held ? `Model held${clear ? ', everybody clear of the propeller' : ''}. ` : ''}Transmitter off, and on again.`,
  range: () => 'Range check as your transmitter has it.',
  'run-up': ({ held }: { held: Named }) =>
    `${held.label}: full throttle for five seconds, unit on.`,
  'set-switches': () => 'Switches as for the start.',
});

/** What must be seen. */
export const SEE = sentences('preflight-seen', {
  'nothing-loose': () => 'nothing loose, nothing bent, the unit where it was',
  goes: ({ surface, to }: { surface: Named; to: Movement }) =>
    `${surface.label.toLowerCase()} ${MOVEMENT_WORDS[to]}`,
  mode: ({ at, mode }: { at: Named; mode: Named }) => `${at.label}: ${mode.label}`,
  gain: ({ gain }: { gain: Sentence }) => gain.words,
  'works-toward-level': () => 'it works towards level, and stops when you release panic',
  'launch-elevator': ({ pct }: { pct: number }) =>
    `the elevator goes up by ${pct} % of its throw and stays there`,
  'launch-no-trim': () => 'the elevator trim does not change it',
  'launch-ends': () => 'once the stick moves, the elevator is back where it was',
  'has-fix': () => 'the unit shows that it knows where home is',
  'goes-home': ({ mode }: { mode: Named }) => `the unit changes to ${mode.label}`,
  'motor-still': () => 'the motor stays still',
  'failsafe-then-follows': ({ ground }: { ground: boolean }) =>
    ground
      ? 'the steering does what its failsafe is set to, and follows again afterwards'
      : 'surfaces do what their failsafe is set to, and follow again afterwards',
  'follows-again': () => 'the surfaces follow the sticks again afterwards',
  'no-twitch': ({ ground }: { ground: boolean }) =>
    `${ground ? 'the steering does not twitch' : 'no surface twitches'} at its distance`,
  'stays-still': ({ ground, go }: { ground: boolean; go: Named }) =>
    `${ground ? 'the steering' : 'every surface'} stays still: twitching means vibration or weak power: do not ${go.label}`,
  'off-by-feel': ({ at }: { at: Named }) => `${at.label}: off, found by feel`,
  'lowest-by-feel': () => 'the lowest gain, found by feel',
});
