import { sentences, type Named } from '../script';
import { MOVEMENT_WORDS, UNIT_DRIVES, UNIT_STEERS, type Movement } from '../chain';

/** Panic tried from every position, with the model in your hands. */
export const PANIC = sentences('panic', {
  from: ({ controls, first }: { controls: Named[]; first: Named[] }) =>
    [
      ...controls.map((c) => c.label),
      ...(first.length > 0 ? [`first with ${first.map((c) => c.label).join(', then with ')}`] : []),
    ].join(', ') + '.',
  'from-everywhere': () =>
    'There are too many combinations to list. One after another, from every position of every switch that reaches the unit:',
  'as-before': () => 'panic released: as it was before',
  tip: ({ deg }: { deg: number }) => `Hold the model right wing down, about ${deg}°.`,
  hold: ({ control }: { control: Named }) => `Press ${control.label} and hold it.`,
  on: ({ control }: { control: Named }) => `${control.label} on.`,
  comes: ({ mode, afterS }: { mode: Named; afterS: number }) =>
    `${mode.label} engages ${afterS === 0 ? 'at once' : `after ${afterS.toFixed(1)} s`}`,
  'wrong-mode': ({ mode }: { mode: Named }) =>
    `WRONG in the program: ${mode.label}, not self-levelling`,
  'goes-and-stays': ({ surface, to }: { surface: Named; to: Movement }) =>
    `${surface.label.toLowerCase()} goes ${MOVEMENT_WORDS[to]} and stays there`,
  'back-to': ({ mode }: { mode: Named }) => `panic released: ${mode.label} again`,
});

/** The signal lost with the model held. */
export const FAILSAFE = sentences('failsafe', {
  'run-and-lose': ({ safe, runningPct }: { safe: Named; runningPct: number }) =>
    `${safe.label}, the model held all the same. Release the throttle cut and open the throttle one third${runningPct > 1 ? ` (the motor runs at ${runningPct} %)` : ''}. Switch the transmitter off.`,
  'unit-drives': () => UNIT_DRIVES,
  'unit-steers': () => UNIT_STEERS,
  'motor-stops': () => 'the motor stops within a second or two',
  'motor-runs-on': ({ pct }: { pct: number }) =>
    `WRONG in the program: the motor runs on at ${pct} %`,
  'then-look': ({ at }: { at: Named }) => `Still off: watch ${at.label}.`,
  'lose-and-look': ({ at }: { at: Named }) => `Switch the transmitter off and watch ${at.label}.`,
  'stands-at': ({ surface }: { surface: Named }) => surface.label,
  tip: ({ deg }: { deg: number }) => `Still off: right wing down, about ${deg}°.`,
  'back-on-without-motor': () => 'Switch the transmitter on again.',
  'back-on': () => 'Close the throttle, then switch the transmitter on again.',
  'follows-again': ({ ground }: { ground: boolean }) =>
    ground ? 'the steering follows again' : 'surfaces follow the sticks again',
  'still-until-opened': () => 'the motor stays still until the throttle is opened',
  'motor-follows-again': () =>
    'the motor follows the throttle again: it stays still until you open the throttle',
});
