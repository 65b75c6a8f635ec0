import { scriptOf, sentences, type Line, type Named, type ScriptStep } from '../script';
import { kindOf, type Setup } from '../setup';
import { offPosition } from './off';

/** How each check of the bare model begins. */
const OFF = sentences('gyro-off', {
  locked: () => 'Gain locked at off.',
  off: ({ off }: { off: Named }) => `Gyro off (${off.label}).`,
  lowest: () => 'Lowest gain.',
});

/** Each check with what a gyro would hide of it. Common practice, no source. */
const CAR = sentences('chassis', {
  'sight-along': () => 'On a flat table, steering released: sight along both front wheels.',
  'wheels-alike': () => 'both point equally to the centre line of the car',
  'hidden-toe': () => 'hidden by the gyro: unequal toe, held straight until the gyro lets go',
  'pinion-in': () => 'Pinion in and tight, throttle cut on until it stands free on the ground.',
  'run-along-a-line': () => 'Roll it, then run it slowly along a line, steering released.',
  'keeps-to-line': () => 'it keeps to the line both ways',
  'hidden-bent-arm': () => 'hidden by the gyro: a bent arm, a dragging bearing, a trim',
  'full-circles': () => 'Full left, then full right, at walking pace.',
  'circles-alike': () => 'both circles are the same size',
  'hidden-travel': () =>
    'hidden by the gyro: unequal endpoints, which the gyro makes up for on one side only',
  brake: () => 'Brake hard from speed on a straight.',
  'stays-straight': () => 'it stays straight',
  'hidden-brakes': () => 'hidden by the gyro: one side that brakes or grips more',
  'throttle-out-of-bend': () => 'Open the throttle out of a bend, left and right.',
  'steps-out-alike': () => 'the rear steps out equally to both sides, and comes back',
  'hidden-tweak': () =>
    'hidden by the gyro: a twisted chassis, a sticky differential, tyres that differ',
});

const BOAT = sentences('hull', {
  'shaft-coupled': () =>
    'Shaft coupled, propeller tight, throttle cut on until it lies in the water.',
  'half-speed': () => 'Half speed on smooth water, steering released.',
  'keeps-heading': () => 'it keeps its heading with the wind and against it',
  'hidden-rudder': () =>
    'hidden by the gyro: a bent rudder, or propeller torque, which you trim out',
  'full-circles': () => 'Full left, then full right, at half speed.',
  'circles-alike': () => 'both circles are nearly the same size',
  'hidden-travel': () => 'hidden by the gyro: unequal endpoints',
  'close-at-speed': () => 'Close the throttle at speed.',
  'sits-straight': () => 'it settles straight',
  'hidden-hook': () => 'hidden by the gyro: a hull that hooks to one side',
});

/** A model without its gyro first: each check with what a gyro would hide of it. Common practice, no source. */
export function chassisScript(setup: Setup): ScriptStep[] {
  const { moves } = kindOf(setup.airframe);
  const position = offPosition(setup);
  const off = setup.intents.program.lock
    ? OFF.locked()
    : position
      ? OFF.off({ off: position })
      : OFF.lowest();
  if (moves === 'wheels')
    return scriptOf('chassis', [
      ['toe', CAR['sight-along'](), [CAR['wheels-alike'](), CAR['hidden-toe']()]],
      [
        'straight',
        [CAR['pinion-in'](), off, CAR['run-along-a-line']()],
        [CAR['keeps-to-line'](), CAR['hidden-bent-arm']()],
      ],
      ['circles', [off, CAR['full-circles']()], [CAR['circles-alike'](), CAR['hidden-travel']()]],
      ['brakes', [off, CAR.brake()], [CAR['stays-straight'](), CAR['hidden-brakes']()]],
      [
        'power',
        [off, CAR['throttle-out-of-bend']()],
        [CAR['steps-out-alike'](), CAR['hidden-tweak']()],
      ],
    ] satisfies Line[]);
  if (moves === 'water')
    return scriptOf('chassis', [
      [
        'straight',
        [BOAT['shaft-coupled'](), off, BOAT['half-speed']()],
        [BOAT['keeps-heading'](), BOAT['hidden-rudder']()],
      ],
      [
        'circles',
        [off, BOAT['full-circles']()],
        [BOAT['circles-alike'](), BOAT['hidden-travel']()],
      ],
      ['stop', [off, BOAT['close-at-speed']()], [BOAT['sits-straight'](), BOAT['hidden-hook']()]],
    ] satisfies Line[]);
  return [];
}
