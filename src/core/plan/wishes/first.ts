import { devicesOf, type Device } from '../../model';
import {
  functionOf,
  type ChannelFunction,
  type ControlKind,
  type ProgramWishes,
  type Setup,
} from '../../setup';
import { FIXED_GAIN_PCT, GLIDE_PITCH_DEG, PANIC_GAIN_PCT, USUAL_RATE } from '../figures';
import { flapsOn, flapsStep } from '../offers/flaps';
import { failsafeSchools } from './failsafe';
import { modesAsShipped } from './modes';
import { deviceOn } from './spare';

/** Which hand control works what, beyond the sticks. */
interface Hands {
  mode: string | undefined;
  mode2: string | undefined;
  gain: string | undefined;
  cut: string | undefined;
  flaps: string | undefined;
  gear: string | undefined;
  panic: string | undefined;
  brake: string | undefined;
  capture: string | undefined;
  devices: readonly { device: Device; control: string }[];
}

/** Gives every function a control of its own, as long as there are any. */
function chooseHands(
  setup: Setup,
  wanted: ReadonlySet<ChannelFunction>,
  taken: readonly string[],
): Hands {
  const { transmitter, airframe, unit } = setup;
  const used: string[] = [...taken];
  const give = (kinds: ControlKind[], needed: boolean): string | undefined => {
    if (!needed) return undefined;
    for (const kind of kinds) {
      const found = transmitter.controls.find((c) => c.kind === kind && !used.includes(c.id));
      if (!found) continue;
      used.push(found.id);
      return found.id;
    }
    return undefined;
  };
  const three = unit.settings.slots.length > 2;
  const hands = {
    mode: give(three ? ['switch-3', 'switch-2'] : ['switch-2', 'switch-3'], wanted.has('mode')),
    cut: give(['switch-2', 'switch-3'], airframe.motors.length > 0),
    mode2: give(['switch-2', 'switch-3'], wanted.has('mode2')),
    panic: give(['momentary', 'switch-2', 'switch-3'], wanted.has('recovery')),
    gain: give(
      ['knob', 'slider'],
      [...wanted].some((f) => f === 'gain' || functionOf(f).tunes),
    ),
    flaps: give(
      flapsStep(setup) ? ['switch-2', 'switch-3'] : ['switch-3', 'switch-2', 'slider'],
      wanted.has('flap') || wanted.has('flaperon-left'),
    ),
    gear: give(['switch-2', 'switch-3', 'slider', 'knob'], wanted.has('gear')),
    brake: give(['switch-2', 'momentary', 'switch-3', 'slider', 'knob'], wanted.has('brake')),
    capture: give(['momentary', 'switch-2', 'switch-3'], wanted.has('capture')),
    devices: devicesOf(airframe).flatMap(({ device, servo }) => {
      const control = give([...device.kinds], wanted.has(servo.carries));
      return control ? [{ device, control }] : [];
    }),
  };
  // With nothing left, gear goes with the flaps.
  return { ...hands, gear: hands.gear ?? (wanted.has('gear') ? hands.flaps : undefined) };
}

/**
 * What a new model's program is written from: a usual choice for everything that is there.
 * @param wanted functions to find a control for
 * @param taken controls that are given already
 */
export function firstWishes(
  setup: Setup,
  wanted: ReadonlySet<ChannelFunction> = new Set(setup.program.outputs.map((o) => o.carries)),
  taken: readonly string[] = [],
): ProgramWishes {
  const hands = chooseHands(setup, wanted, taken);
  const switches = [hands.mode, hands.mode2].filter((id) => id !== undefined);
  const level = failsafeSchools(setup).glide === undefined;
  return {
    ...(hands.flaps ? { flaps: flapsOn(setup, hands.flaps) } : {}),
    ...(hands.gear ? { gear: { control: hands.gear } } : {}),
    ...(hands.brake ? { brake: { control: hands.brake } } : {}),
    ...(hands.devices.length > 0
      ? { devices: hands.devices.map(({ device, control }) => deviceOn(setup, device, control)) }
      : {}),
    ...(hands.capture ? { capture: { control: hands.capture } } : {}),
    ...(hands.mode ? { modes: { switches, table: modesAsShipped(setup, switches) } } : {}),
    ...firstGain(setup, wanted, hands.gain),
    rates: { by: 'one', ...USUAL_RATE },
    ...(hands.panic
      ? { panic: { way: 'channel', control: hands.panic, holdS: 0, gainPct: PANIC_GAIN_PCT } }
      : {}),
    ...(hands.cut ? { cut: { control: hands.cut, position: 0 } } : {}),
    failsafe: {
      school: level ? 'glide' : 'motor-off',
      pitchDeg: level ? GLIDE_PITCH_DEG : 0,
      rollDeg: 0,
    },
  };
}

function firstGain(
  { unit, transmitter }: Setup,
  wanted: ReadonlySet<ChannelFunction>,
  knob: string | undefined,
): Pick<ProgramWishes, 'gain'> {
  if (unit.traits.gainLaw === 'fixed') return {};
  const axes = (['roll', 'pitch', 'yaw'] as const).filter((a) => wanted.has(`gain-${a}`));
  const knobs = transmitter.controls.filter((c) => c.kind === 'knob' || c.kind === 'slider');
  if (axes.length > 0)
    return {
      gain: {
        by: 'axes',
        ...Object.fromEntries(axes.flatMap((a, i) => (knobs[i] ? [[a, knobs[i].id]] : []))),
      },
    };
  if (!wanted.has('gain')) return {};
  if (!knob) return { gain: { by: 'fixed', pct: FIXED_GAIN_PCT } };
  // A knob that rests in its middle has a set on each side of it, and off between.
  const middle = transmitter.controls.find((c) => c.id === knob)?.rest === 0;
  const sides = unit.traits.gainLaw === 'sign-selects-set' && middle;
  return { gain: { by: 'knob', control: knob, ...(sides ? { middleOff: true } : {}) } };
}
