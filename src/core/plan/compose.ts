import { mixedFunction } from '../chain';
import {
  SETUP_FORMAT,
  SETUP_VERSION,
  type Airframe,
  type ChannelFunction,
  type Plug,
  type Setup,
  type Transmitter,
  type Unit,
  type UnitSettings,
} from '../setup';
import { assignChannels, neededFunctions, type Mixer } from './assign';
import { freeControl, writeProgram } from './program';

const clone = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

const WING_TYPES: Partial<Record<Airframe['kind'], UnitSettings['wingType']>> = {
  'flying-wing': 'delta',
  'v-tail': 'v-tail',
  'inverted-v-tail': 'v-tail',
  car: 'steering',
  boat: 'steering',
};

/** The whole Setup of a new model from its three parts, every value filled with a usual one. */
export function composeSetup(
  name: string,
  airframe: Airframe,
  unitPart: Unit,
  transmitter: Transmitter,
): Setup {
  const unit = clone(unitPart);
  const mixer: Mixer = unit.traits.mixer === 'transmitter' ? 'transmitter' : 'unit';
  const needsMode = unit.traits.modeSelect.by === 'bands';
  const functions: ChannelFunction[] = [
    ...neededFunctions(airframe, mixer),
    ...(needsMode ? (['mode'] as const) : []),
    ...(unit.traits.gainLaw === 'fixed' ? [] : (['gain'] as const)),
  ];
  const assignment = assignChannels(functions, unit, transmitter);
  const mode = needsMode ? freeControl(transmitter, ['switch-3', 'switch-2'], []) : undefined;
  const throttleCut = freeControl(transmitter, ['switch-2', 'switch-3'], [mode]);
  const gain = freeControl(transmitter, ['knob', 'slider'], []);
  const flap = freeControl(transmitter, ['switch-3', 'switch-2'], [mode, throttleCut]);
  const gear = freeControl(transmitter, ['switch-2', 'switch-3'], [mode, throttleCut, flap]);
  const program = writeProgram(
    transmitter,
    assignment,
    { mode, gain, throttleCut, flap, gear },
    unit.traits.gainLaw,
  );

  unit.settings.wingType = mixer === 'unit' ? (WING_TYPES[airframe.kind] ?? 'normal') : 'normal';
  unit.settings.inputs = assignment
    .filter((a) => a.channel <= unit.traits.inputChannels)
    .map(({ carries, channel }) => ({ carries, channel }));
  const { plugs, outputs } = plugIn(airframe, unit);
  unit.settings.outputs = outputs;
  if (airframe.kind === 'inverted-v-tail') {
    // An inverted V answers the rudder the other way about: turn its stick and its correction.
    for (const o of program.outputs) if (o.carries === 'rudder') o.reversed = true;
    unit.settings.axes.yaw.reversed = true;
  }
  return {
    format: SETUP_FORMAT,
    version: SETUP_VERSION,
    name,
    notes: '',
    airframe: withTaughtMotors(airframe, transmitter),
    unit,
    transmitter: clone(transmitter),
    program,
    installation: {
      mounting: unit.settings.orientation,
      skewDeg: { roll: 0, pitch: 0, yaw: 0 },
      positionMm: { x: 0, y: 0, z: 0 },
      plugs,
      gainLead: assignment.some((a) => a.carries === 'gain'),
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
      school: 'sticks-first',
      wishes: [],
    },
  };
}

/** Speed controllers are taught the ends of the transmitter they are used with. */
function withTaughtMotors(airframe: Airframe, { pulse }: Transmitter): Airframe {
  const own = clone(airframe);
  for (const motor of own.motors) {
    motor.stopUs = pulse.centreUs - pulse.usAt100;
    motor.fullUs = pulse.centreUs + pulse.usAt100;
  }
  return own;
}

/** Puts every servo and motor in a port: the labelled one, else the next free one. */
function plugIn(
  airframe: Airframe,
  unit: Unit,
): { plugs: Plug[]; outputs: UnitSettings['outputs'] } {
  const plugs: Plug[] = [];
  const outputs: UnitSettings['outputs'] = [];
  const { ports } = unit.traits;
  const bases = ['aileron', 'elevator', 'rudder'] as const;
  for (const actuator of [...airframe.servos, ...airframe.motors]) {
    // An elevon hangs on the port whose function the unit's mixer turns into that elevon.
    const base =
      bases.find((f) => mixedFunction(unit.settings.wingType, f) === actuator.carries) ??
      actuator.carries;
    const output = outputs.find((o) => o.carries === base);
    if (output) {
      const plug = plugs.find((p) => p.port === output.port)!;
      plug.lead = 'y-lead';
      plug.drives.push(actuator.id);
      continue;
    }
    const free = ports.filter((p) => !outputs.some((o) => o.port === p.id));
    const port =
      free.find((p) => p.labelledFor === base) ??
      free.find((p) => p.labelledFor === undefined) ??
      free.find((p) => p.labelledFor?.startsWith('aux'));
    if (!port) continue;
    const steers = !['throttle', 'throttle2', 'flap', 'flap2', 'gear'].includes(base);
    outputs.push({
      port: port.id,
      carries: base,
      stabilized: port.canStabilize && steers,
      maxGainPct: 100,
      reversed: false,
      correctionReversed: false,
    });
    plugs.push({ port: port.id, lead: 'plain', drives: [actuator.id] });
  }
  return { plugs, outputs };
}
