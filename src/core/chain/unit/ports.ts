import {
  functionOf,
  SHIPPED_TRAVEL,
  type Axis,
  type ChannelFunction,
  type GainSet,
  type Setup,
} from '../../setup';
import type { Frame, Memory } from '../frame';
import { shapeOutput } from '../outputs';
import { axisWeights, mixedFunction } from './functions';
import { CENTRE_US, HALF_TRAVEL_US } from './laws';

/** A port never sends less or more than this. Common practice, no source. */
export const PORT_MIN_US = 800;
export const PORT_MAX_US = 2200;

/** One set for both sides of the gain channel: the axes have the gains. */
const ONE_SET = (maxGainPct: number): GainSet => ({ gainPct: 100, maxGainPct, holdAllowed: true });

type UnitOutput = Setup['unit']['settings']['outputs'][number];

type PortStep = (
  sticks: Float64Array,
  axisSense: Float64Array,
  memory: Memory,
  frame: Frame,
) => void;

/** Whether the unit adds its correction to an output: it can, it is to, and its bank is on. */
export function isSteadied({ unit }: Pick<Setup, 'unit'>, output: UnitOutput): boolean {
  const bank = unit.traits.ports.find((p) => p.id === output.port)?.bank;
  const banked = unit.traits.stabilizedOutputs === 'two-banks' && bank !== undefined;
  return output.stabilized && (!banked || (unit.settings.banks?.includes(bank) ?? true));
}

/** Last link in the unit: stick signal plus correction, mixed for the wing, out of each port. */
export function compilePorts(setup: Setup): PortStep {
  const { traits, settings } = setup.unit;
  const cutThrottle = settings.failsafe?.cutThrottle ?? false;
  const ports = traits.ports.flatMap((port, at) => {
    const output = settings.outputs.find((o) => o.port === port.id);
    if (!output) return [];
    const carries = mixedFunction(settings.wingType, output.carries);
    const weights = axisWeights(carries);
    const steadied = isSteadied(setup, output);
    const sets =
      traits.gainKept === 'output-and-set' && output.sets
        ? output.sets
        : { below: ONE_SET(output.maxGainPct), above: ONE_SET(output.maxGainPct) };
    /** Share of the correction this output gives, and the part of it taken back where it may not hold. */
    const share = ({ gainPct, maxGainPct, holdAllowed }: GainSet) => ({
      all: steadied
        ? ((output.correctionReversed ? -1 : 1) * HALF_TRAVEL_US * gainPct * maxGainPct) / 1e6
        : 0,
      holds: holdAllowed,
    });
    const from = rawChannel(setup, carries);
    const own = (axis: Axis) => weights[axis] ?? 0;
    // An output it does not work passes on what comes, unless somebody has set it otherwise.
    const travel =
      output.travel ?? (traits.outputTravel && output.stabilized ? SHIPPED_TRAVEL : undefined);
    return {
      at,
      from,
      mixRoll: own('roll') * (traits.mixSense?.roll ?? 1),
      mixPitch: own('pitch') * (traits.mixSense?.pitch ?? 1),
      mixYaw: own('yaw') * (traits.mixSense?.yaw ?? 1),
      addRoll: own('roll'),
      addPitch: own('pitch'),
      addYaw: own('yaw'),
      below: share(sets.below),
      above: share(sets.above),
      travel: travel && {
        reversed: false,
        subtrimPct: travel.centrePct,
        minPct: travel.minPct,
        maxPct: travel.maxPct,
      },
      reversed: output.reversed,
      throttle: carries === 'throttle' || carries === 'throttle2',
    };
  });
  return (sticks, axisSense, memory, frame) => {
    const { correctionPct, heldPct, portsUs, belowMiddle } = frame;
    const c0 = correctionPct[0]! * axisSense[0]!;
    const c1 = correctionPct[1]! * axisSense[1]!;
    const c2 = correctionPct[2]! * axisSense[2]!;
    const h0 = heldPct[0]! * axisSense[0]!;
    const h1 = heldPct[1]! * axisSense[1]!;
    const h2 = heldPct[2]! * axisSense[2]!;
    for (let i = 0; i < ports.length; i++) {
      const port = ports[i]!;
      let us =
        port.from >= 0
          ? frame.receivedUs[port.from]!
          : CENTRE_US +
            HALF_TRAVEL_US *
              (port.mixRoll * sticks[0]! + port.mixPitch * sticks[1]! + port.mixYaw * sticks[2]!);
      if (us !== us) {
        // No pulses: the servo stays where it was, a motor stops (speed controllers cut on no signal).
        us = port.throttle ? NaN : memory.lastPortsUs[port.at]!;
        portsUs[port.at] = us;
        continue;
      }
      const set = belowMiddle ? port.below : port.above;
      if (set.all !== 0) {
        const held = set.holds ? 0 : 1;
        us +=
          set.all *
          (port.addRoll * (c0 - held * h0) +
            port.addPitch * (c1 - held * h1) +
            port.addYaw * (c2 - held * h2));
      }
      if (port.throttle && ((cutThrottle && frame.failsafeActive) || frame.throttleRefused))
        us = CENTRE_US - HALF_TRAVEL_US;
      if (port.travel)
        us =
          CENTRE_US +
          (shapeOutput(port.travel, ((us - CENTRE_US) / HALF_TRAVEL_US) * 100) / 100) *
            HALF_TRAVEL_US;
      if (port.reversed) us = 2 * CENTRE_US - us;
      us = us < PORT_MIN_US ? PORT_MIN_US : us > PORT_MAX_US ? PORT_MAX_US : us;
      portsUs[port.at] = us;
      memory.lastPortsUs[port.at] = us;
    }
  };
}

/** Index of the channel that goes straight to an output; −1 when the unit must mix. */
function rawChannel(setup: Setup, carries: ChannelFunction): number {
  const { inputs } = setup.unit.settings;
  const standIn = functionOf(carries).standIn;
  const input =
    inputs.find((i) => i.carries === carries) ?? inputs.find((i) => i.carries === standIn);
  return input && input.channel <= setup.transmitter.channels ? input.channel - 1 : -1;
}
