import { TRANSMITTERS, UNITS, USUAL_STEERING, buildAirframe, usualAnswers } from '@/core/catalogue';
import { applyPatch } from '@/core/patch';
import { composeSetup, setSteeringEnds } from '@/core/plan';
import type { AirframeKind, Setup } from '@/core/setup';
import { CHOICE_FAULTS, UNCHOSEN_FAULTS } from './choice-faults';
import { GANG_FAULTS } from './gang-faults';
import { GESTURE_FAULTS } from './gesture-faults';
import { ORDER_FAULTS, type Fault } from './order-faults';

export function make(
  kind: AirframeKind = 'conventional',
  unit = 'menu-receiver',
  transmitter = 'line-sixteen',
  more = {},
): Setup {
  return composeSetup(
    'T',
    buildAirframe({ ...usualAnswers(kind), ...more }),
    UNITS[unit]!,
    TRANSMITTERS[transmitter]!,
  );
}

/** A car whose steering is measured, its ends at the stops. */
function measuredCar(): Setup {
  const setup = make('car', 'steering-receiver', 'surface-four');
  setup.airframe.steering = { ...USUAL_STEERING };
  return applyPatch(setup, setSteeringEnds(setup)) as Setup;
}

/** For every rule, ways to be wrong. Each spoils a clean Setup. */
export const RULE_FAULTS: readonly Fault[] = [
  ...ORDER_FAULTS,
  ...CHOICE_FAULTS,
  ...UNCHOSEN_FAULTS,
  ...GANG_FAULTS,
  ...GESTURE_FAULTS,
  [
    'M3',
    'roll reversed in the unit',
    make,
    (s) => {
      s.unit.settings.axes.roll.reversed = true;
    },
  ],
  [
    'M3',
    'yaw reversed in the unit',
    make,
    (s) => {
      s.unit.settings.axes.yaw.reversed = true;
    },
  ],
  [
    'M3',
    'elevator output corrected backwards',
    make,
    (s) => {
      s.unit.settings.outputs[1]!.correctionReversed = true;
    },
  ],
  [
    'M4',
    'elevator channel reversed',
    make,
    (s) => {
      s.program.outputs[1]!.reversed = true;
    },
  ],
  [
    'M4',
    'rudder channel reversed on a V-tail',
    () => make('v-tail'),
    (s) => {
      s.program.outputs.find((o) => o.carries === 'rudder')!.reversed = true;
    },
  ],
  [
    'M4',
    'aileron line negative',
    make,
    (s) => {
      s.program.lines.find((l) => l.channel === 1)!.sharePct = -100;
    },
  ],
  [
    'M5',
    'elevator servo reversed',
    make,
    (s) => {
      s.airframe.servos[2]!.rotation = 'reversed';
    },
  ],
  [
    'M5',
    'rudder rod on the other side',
    make,
    (s) => {
      s.airframe.surfaces[3]!.linkage.sense = 'same';
    },
  ],
  [
    'M5',
    'port reversed',
    make,
    (s) => {
      s.unit.settings.outputs[0]!.reversed = true;
    },
  ],
  [
    'M6',
    'delta mixed nowhere',
    () => make('flying-wing'),
    (s) => {
      s.unit.settings.wingType = 'normal';
    },
  ],
  [
    'M6',
    'plain model, V-tail set',
    make,
    (s) => {
      s.unit.settings.wingType = 'v-tail';
    },
  ],
  [
    'M6',
    'delta mixed twice',
    () => make('flying-wing'),
    (s) => {
      s.program.lines.push({
        ...s.program.lines[0]!,
        id: 'again',
        follows: { kind: 'input', id: 'elevator' },
      });
    },
  ],
  [
    'M7',
    'unit looks for the rudder elsewhere',
    make,
    (s) => {
      s.unit.settings.inputs.find((i) => i.carries === 'rudder')!.channel = 5;
    },
  ],
  [
    'M7',
    'fixed order not kept',
    () => make('conventional', 'fixed-order-receiver'),
    (s) => {
      const [a, e] = s.unit.settings.inputs;
      a!.channel = 2;
      e!.channel = 1;
      s.program.outputs[0]!.carries = 'elevator';
      s.program.outputs[1]!.carries = 'aileron';
    },
  ],
  [
    'M7',
    'rudder servo in the elevator plug',
    make,
    (s) => {
      const plugs = s.installation.plugs;
      [plugs[1]!.drives, plugs[2]!.drives] = [plugs[2]!.drives, plugs[1]!.drives];
    },
  ],
  [
    'M14',
    'flaps stabilized',
    () => make('conventional', 'menu-receiver', 'line-sixteen', { flaps: true }),
    (s) => {
      s.unit.settings.outputs.find((o) => o.carries === 'flap')!.stabilized = true;
    },
  ],
  [
    'M14',
    'gear stabilized',
    () => make('conventional', 'menu-receiver', 'line-sixteen', { gear: true }),
    (s) => {
      s.unit.settings.outputs.find((o) => o.carries === 'gear')!.stabilized = true;
    },
  ],
  [
    'M14',
    'throttle stabilized',
    make,
    (s) => {
      s.unit.settings.outputs.find((o) => o.carries === 'throttle')!.stabilized = true;
    },
  ],
  [
    'M19',
    'on its side in a flat-only unit',
    () => make('conventional', 'switch-receiver'),
    (s) => {
      s.installation.mounting = 'nose-left';
    },
  ],
  [
    'M19',
    'turned round and not told',
    make,
    (s) => {
      s.installation.mounting = 'tail-up';
    },
  ],
  [
    'M19',
    'told otherwise',
    make,
    (s) => {
      s.unit.settings.orientation = 'left-up';
    },
  ],
  [
    'M24',
    'three modes on two positions',
    make,
    (s) => {
      s.program.lines.find((l) => l.purpose === 'mode')!.follows = { kind: 'control', id: 'sh' };
    },
  ],
  [
    'M24',
    'mode channel halved',
    make,
    (s) => {
      s.program.lines.find((l) => l.purpose === 'mode')!.sharePct = 20;
    },
  ],
  [
    'M24',
    'mode channel pushed up',
    make,
    (s) => {
      s.program.lines.find((l) => l.purpose === 'mode')!.shiftPct = 60;
    },
  ],
  [
    'M25',
    'no mode channel',
    make,
    (s) => {
      s.program.outputs = s.program.outputs.filter((o) => o.carries !== 'mode');
    },
  ],
  [
    'M25',
    'no rudder channel',
    make,
    (s) => {
      s.program.outputs = s.program.outputs.filter((o) => o.carries !== 'rudder');
    },
  ],
  [
    'M25',
    'no gain channel',
    make,
    (s) => {
      s.program.outputs = s.program.outputs.filter((o) => o.carries !== 'gain');
    },
  ],
  [
    'M26',
    'eight-channel link, gain on nine',
    make,
    (s) => {
      s.transmitter.link = 'short';
      s.program.outputs[5]!.channel = 9;
    },
  ],
  [
    'M26',
    'mode on twelve',
    make,
    (s) => {
      s.transmitter.link = 'short';
      s.program.outputs[4]!.channel = 12;
    },
  ],
  [
    'M26',
    'automatic link',
    () => make('conventional', 'menu-receiver', 'function-eight'),
    (s) => {
      s.transmitter.link = 'auto';
      s.program.outputs[5]!.channel = 8;
    },
  ],
  [
    'M35',
    'ends beyond the stops of a measured steering',
    measuredCar,
    (s) => {
      s.airframe.steering!.lockLeftDeg = 20;
    },
  ],
  [
    'M35',
    'a longer servo arm',
    measuredCar,
    (s) => {
      s.airframe.steering!.armMm = 22;
    },
  ],
  [
    'M35',
    'one end short of its stop',
    measuredCar,
    (s) => {
      s.program.outputs.find((o) => o.carries === 'steering')!.maxPct = 40;
    },
  ],
  [
    'M29',
    'throttle channel reversed',
    make,
    (s) => {
      s.program.outputs[2]!.reversed = true;
    },
  ],
  [
    'M29',
    'throttle subtrim',
    make,
    (s) => {
      s.program.outputs[2]!.subtrimPct = 20;
    },
  ],
  [
    'M29',
    'reversed inside as well',
    make,
    (s) => {
      s.transmitter.throttleReversedInside = true;
    },
  ],
  [
    'M42',
    'no cut',
    make,
    (s) => {
      s.program.lines = s.program.lines.filter((l) => l.purpose !== 'throttle-cut');
    },
  ],
  [
    'M42',
    'cut off at rest',
    make,
    (s) => {
      s.transmitter.controls.find((c) => c.id === 'sg')!.rest = 100;
    },
  ],
  [
    'M42',
    'cut too high',
    make,
    (s) => {
      s.program.lines.find((l) => l.purpose === 'throttle-cut')!.sharePct = -60;
    },
  ],
  [
    'M46',
    'mode and throttle cut on one switch',
    make,
    (s) => {
      s.program.lines.find((l) => l.purpose === 'throttle-cut')!.when = {
        kind: 'switch',
        control: 'sa',
        position: 0,
      };
    },
  ],
  [
    'M46',
    'one channel for two',
    make,
    (s) => {
      s.unit.settings.inputs.find((i) => i.carries === 'gain')!.channel = 6;
    },
  ],
  [
    'M46',
    'flap and mode on one switch',
    () => make('conventional', 'menu-receiver', 'line-sixteen', { flaps: true }),
    (s) => {
      s.program.lines.find((l) => l.purpose === 'other')!.follows = { kind: 'control', id: 'sa' };
    },
  ],
  [
    'M47',
    'lead out, keeps last',
    make,
    (s) => {
      s.installation.gainLead = false;
    },
  ],
  [
    'M47',
    'lead out, full',
    () => make('conventional', 'single-axis-gyro'),
    (s) => {
      s.installation.gainLead = false;
    },
  ],
  [
    'M47',
    'lead out, no off mode',
    make,
    (s) => {
      s.installation.gainLead = false;
      s.unit.settings.slots = ['rate', 'rate', 'level'];
    },
  ],
];
