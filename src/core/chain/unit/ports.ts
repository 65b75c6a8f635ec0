import { AXES, type ChannelFunction, type Setup } from '../../setup';
import type { Frame, Memory } from '../frame';
import type { ReadFunction } from './decode';
import { STAND_IN, axisWeights, mixedFunction } from './functions';
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
  const ports = traits.ports.map((port) => {
    const output = settings.outputs.find((o) => o.port === port.id);
    if (!output) return undefined;
    const carries = mixedFunction(settings.wingType, output.carries);
    const weights = axisWeights(carries);
    const side = output.correctionReversed ? -1 : 1;
    const share = output.stabilized ? (side * output.maxGainPct) / 10000 : 0;
    const pass = rawChannel(setup, carries);
    return {
      pass,
      mix: pass ? undefined : Float64Array.from(AXES, (axis) => weights[axis] ?? 0),
      correction: Float64Array.from(AXES, (axis) => (weights[axis] ?? 0) * share),
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
      const port = ports[i];
      if (port === undefined) {
        portsUs[i] = NaN;
        continue;
      }
      let us: number;
      if (port.pass !== undefined) us = port.pass(frame.receivedUs);
      else {
        const m = port.mix!;
        us =
          CENTRE_US +
          HALF_TRAVEL_US * (m[0]! * sticks[0]! + m[1]! * sticks[1]! + m[2]! * sticks[2]!);
      }
      if (Number.isNaN(us)) {
        // No pulses: the servo stays where it was, a motor stops (speed controllers cut on no signal).
        us = port.throttle ? NaN : memory.lastPortsUs[i]!;
        portsUs[i] = us;
        continue;
      }
      const w = port.correction;
      us += HALF_TRAVEL_US * (w[0]! * c0 + w[1]! * c1 + w[2]! * c2);
      if (cutThrottle && port.throttle && frame.failsafeActive) us = CENTRE_US - HALF_TRAVEL_US;
      if (port.reversed) us = 2 * CENTRE_US - us;
      us = us < PORT_MIN_US ? PORT_MIN_US : us > PORT_MAX_US ? PORT_MAX_US : us;
      portsUs[i] = us;
      memory.lastPortsUs[i] = us;
    }
  };
}

/** The channel that goes straight to an output, in microseconds; undefined when the unit must mix. */
function rawChannel(setup: Setup, carries: ChannelFunction): ReadFunction | undefined {
  const { inputs } = setup.unit.settings;
  const standIn = STAND_IN[carries];
  const input =
    inputs.find((i) => i.carries === carries) ?? inputs.find((i) => i.carries === standIn);
  if (!input || input.channel > setup.transmitter.channels) return undefined;
  const at = input.channel - 1;
  return (us) => us[at]!;
}
