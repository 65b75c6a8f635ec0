import { functionOf, type Axis, type ChannelFunction, type Setup } from '../../setup';
import type { Frame, Memory } from '../frame';
import { axisWeights, mixedFunction } from './functions';
import { CENTRE_US, HALF_TRAVEL_US } from './laws';

/** A port never sends less or more than this. Common practice, no source. */
export const PORT_MIN_US = 800;
export const PORT_MAX_US = 2200;

type PortStep = (
  sticks: Float64Array,
  axisSense: Float64Array,
  memory: Memory,
  frame: Frame,
) => void;

/** Last link in the unit: stick signal plus correction, mixed for the wing, out of each port. */
export function compilePorts(setup: Setup): PortStep {
  const { traits, settings } = setup.unit;
  const cutThrottle = settings.failsafe?.cutThrottle ?? false;
  const ports = traits.ports.flatMap((port, at) => {
    const output = settings.outputs.find((o) => o.port === port.id);
    if (!output) return [];
    const carries = mixedFunction(settings.wingType, output.carries);
    const weights = axisWeights(carries);
    const side = output.correctionReversed ? -1 : 1;
    const share = output.stabilized ? (side * output.maxGainPct) / 10000 : 0;
    const from = rawChannel(setup, carries);
    const own = (axis: Axis) => weights[axis] ?? 0;
    return {
      at,
      from,
      mixRoll: own('roll') * (traits.mixSense?.roll ?? 1),
      mixPitch: own('pitch') * (traits.mixSense?.pitch ?? 1),
      mixYaw: own('yaw') * (traits.mixSense?.yaw ?? 1),
      addRoll: own('roll') * share * HALF_TRAVEL_US,
      addPitch: own('pitch') * share * HALF_TRAVEL_US,
      addYaw: own('yaw') * share * HALF_TRAVEL_US,
      reversed: output.reversed,
      throttle: carries === 'throttle' || carries === 'throttle2',
    };
  });
  return (sticks, axisSense, memory, frame) => {
    const { correctionPct, portsUs } = frame;
    const c0 = correctionPct[0]! * axisSense[0]!;
    const c1 = correctionPct[1]! * axisSense[1]!;
    const c2 = correctionPct[2]! * axisSense[2]!;
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
      us += port.addRoll * c0 + port.addPitch * c1 + port.addYaw * c2;
      if (cutThrottle && port.throttle && frame.failsafeActive) us = CENTRE_US - HALF_TRAVEL_US;
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
