import { sentences, type Named, type Sentence } from '../script';

type Wait = 'stopped' | 'landed';

/** What is turned to find the gain. */
export const BY = sentences('gain', {
  knob: ({ knob }: { knob: Named }) => `turn the gain up slowly with ${knob.label}`,
  dial: ({ wait }: { wait: Wait }) =>
    `turn its dial up a little for each pass, with the model ${wait}`,
  step: ({ wait }: { wait: Wait }) =>
    `turn the gain up one step for each pass, with the model ${wait}`,
});

/** How the gain of this model is found. */
export const TUNE = sentences('tune', {
  off: ({ off }: { off: Named }) => `Unit off (${off.label}).`,
  lowest: () => 'Lowest gain.',
  'run-straight': () => 'On a straight, steering released.',
  'runs-straight': () =>
    'it runs straight by itself: a gyro hides poor steering geometry, it does not correct it',
  'note-trims-run': () => 'if you moved the trims: record the event and capture again',
  'run-faster': ({ by, side }: { by: Sentence; side: string | undefined }) =>
    `On a straight, faster and faster: ${side ? `start a third of the way from the middle to its ${side} side; ` : ''}${by.words} until the steering hunts, then turn it back.`,
  'no-hunting': () => 'no hunting at full speed',
  'steers-into-kick': ({ back }: { back: Named }) =>
    `it steers into a kick at the ${back.label} once, then releases`,
  'run-slowly': () => 'Drive slowly over the roughest surface you will use.',
  'no-chatter': () => 'no chatter of the steering servo',
  'trim-out-launched': () => 'Launch it, trim until it flies with sticks released, land.',
  'trim-out': () => 'Take off, climb, trim until it flies with sticks released, land.',
  'flies-straight': () => 'straight and level by itself with the unit off',
  'note-trims-flown': () =>
    'if you moved the trims: record the event and capture the centres again',
  'fly-fast': ({ by }: { by: Sentence }) =>
    `Fly high, with a helper on the gain, and be able to find “off” by feel. Fast passes: ${by.words}. Jab the ailerons and release, then elevator, then rudder.`,
  // What is changed between two flights needs nobody beside the pilot.
  'fly-fast-alone': ({ by }: { by: Sentence }) =>
    `Fly high, and be able to find “off” by feel. Fast passes: ${by.words}. Jab the ailerons and release, then elevator, then rudder.`,
  'stops-dead': () => 'it stops at once after every jab: no shaking, not in gusts either',
  'half-of-it': () => 'if it shook, turn the gain well back: half of it is the usual margin',
  'fly-slowly': ({ flaps }: { flaps: boolean }) =>
    `Repeat at approach speed${flaps ? ', flaps down' : ''}, high enough to recover.`,
  'does-not-hunt': () => 'it is stabilized, and does not hunt',
  'bears-more': (v: { slowMps: number; times: number; fastMps: number }) =>
    `at ${v.slowMps} m/s it takes about ${v.times.toFixed(1)} times the gain it takes at ${v.fastMps} m/s: give it its own value if it wants more`,
  'read-monitor': () => 'Stopped: read the gain channel off the monitor, for each value found.',
  'numbers-in-log': () => 'the numbers are in the log',
});

export const LOCK = sentences('lock', {
  'put-on-switch': ({ knob }: { knob: Named }) =>
    `Put the gain you found on a switch, on this page; or leave ${knob.label} on purpose.`,
  'left-on-purpose': () =>
    'left on purpose: its position is marked, and you check it before every start',
});

export const RECORD = sentences('record', {
  'write-down': () => 'Write down what it did, the gains read, the trims, and what to try next.',
  'in-log': () => 'a line with this program is in the log',
});
