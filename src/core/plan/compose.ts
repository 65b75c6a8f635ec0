import { copyOf } from '../json';
import {
  SETUP_FORMAT,
  SETUP_VERSION,
  type Airframe,
  type ChannelFunction,
  type Intents,
  type Program,
  type Setup,
  type Transmitter,
  type Unit,
  type UnitTraits,
} from '../setup';
import { planChannels, type Assignment } from './channels';
import type { Mixer } from './functions';
import { learnTravel } from './travel';
import { banksFor, plugIn, wingTypeOf } from './plugs';
import { USUAL_RATE } from './figures';
import { leadPulled, untouched, usualRecovery } from './usual';
import { firstWishes } from './wishes/first';
import { rewriteAll } from './wishes/write';

/** The whole Setup of a new model from its three parts, every value filled with a usual one. */
export function composeSetup(
  name: string,
  airframe: Airframe,
  unitPart: Unit,
  transmitter: Transmitter,
  wishes: readonly ChannelFunction[] = [],
  pins: Assignment = [],
  mixer?: Mixer,
): Setup {
  const unit = copyOf(unitPart);
  unit.shipped ??= copyOf(unitPart.settings);
  const plan = planChannels({ airframe, unit, transmitter, wishes, pins, mixer });
  const assignment = plan.rows.map(({ carries, channel }) => ({ carries, channel }));
  if (assignment.some((a) => a.carries === 'recovery'))
    unit.settings.recovery ??= usualRecovery(unit);
  const program: Program = {
    inputs: [],
    logic: [],
    shapes: [],
    variables: [],
    lines: [],
    outputs: assignment.map(untouched),
    failsafe: [],
    callouts: [],
    timers: [],
  };
  unit.settings.wingType = wingTypeOf(airframe, unit, mixer);
  unit.settings.inputs = assignment
    .filter((a) => a.channel <= unit.traits.inputChannels)
    .map(({ carries, channel }) => ({ carries, channel }));
  const { plugs, outputs } = plugIn(airframe, unit, mixer);
  unit.settings.outputs = outputs;
  const banks = banksFor(unit, outputs);
  if (banks) unit.settings.banks = banks;
  if (airframe.kind === 'inverted-v-tail') {
    // An inverted V answers the rudder reversed: turn its stick and its correction.
    for (const o of program.outputs) if (o.carries === 'rudder') o.reversed = true;
    unit.settings.axes.yaw.reversed = true;
  }
  const setup: Setup = {
    format: SETUP_FORMAT,
    version: SETUP_VERSION,
    name,
    notes: '',
    airframe: withTaughtMotors(airframe, transmitter),
    unit,
    transmitter: copyOf(transmitter),
    program,
    installation: {
      mounting: unit.settings.orientation,
      skewDeg: { roll: 0, pitch: 0, yaw: 0 },
      positionMm: { x: 0, y: 0, z: 0 },
      plugs,
      gainLead: assignment.some((a) => a.carries === 'gain'),
      ...leadPulled(plan),
      unitHardware: '',
      unitFirmware: '',
      transmitterFirmware: '',
      secondHand: false,
      revisions: {
        servoReplaced: 0,
        linkageChanged: 0,
        unitMoved: 0,
        crash: 0,
        unitFirmware: 0,
        unitReset: 0,
        transmitterFirmware: 0,
        radioModule: 0,
      },
    },
    intents: {
      school: usualSchool(unit.traits),
      ...(mixer ? { mixer } : {}),
      wishes: [...wishes],
      pins: [...pins],
      // Chosen below, when all that can be chosen is there.
      program: { rates: { by: 'one', ...USUAL_RATE } },
    },
  };
  setup.intents.program = firstWishes(setup);
  const { setup: written } = rewriteAll(setup);
  if (unit.traits.correctionDirection === 'learned')
    written.installation.travelCapture = learnTravel(written);
  return written;
}

/**
 * Which directions to correct first. A unit that learns from the sticks leaves no choice; one that
 * mixes the surfaces itself wants plain, unreversed sticks, so its own directions come first.
 */
export const usualSchool = (traits: UnitTraits): Intents['school'] =>
  traits.mixer === 'unit' && traits.correctionDirection !== 'learned'
    ? 'unit-first'
    : 'sticks-first';

/** Speed controllers are taught the ends of the transmitter they are used with. */
function withTaughtMotors(airframe: Airframe, { pulse, controls }: Transmitter): Airframe {
  const own = copyOf(airframe);
  for (const motor of own.motors) {
    // A trigger rests in the middle, and there the motor must stand still.
    const rest = controls.find((c) => c.kind === 'stick' && c.hand === 'throttle')?.rest ?? -100;
    motor.stopUs = pulse.centreUs + (rest / 100) * pulse.usAt100;
    motor.fullUs = pulse.centreUs + pulse.usAt100;
  }
  return own;
}
