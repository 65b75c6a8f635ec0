import { AXES, type ChannelFunction, type Setup } from '../../setup';
import { CENTRE_US, HALF_TRAVEL_US } from './laws';
import { STICK_SOURCES } from './functions';

/** Reads one function from the received pulses as −1…+1 of travel; NaN where nothing arrives. */
export type ReadFunction = (receivedUs: Float64Array) => number;

/** How the unit reads a function: from which channel, round which centre, over which travel. */
export function compileFunction(setup: Setup, carries: ChannelFunction): ReadFunction | undefined {
  const input = setup.unit.settings.inputs.find((i) => i.carries === carries);
  if (!input || input.channel > setup.transmitter.channels) return undefined;
  const at = input.channel - 1;
  const learned = setup.installation.travelCapture?.find((t) => t.carries === carries);
  if (!learned) return (us) => (us[at]! - CENTRE_US) / HALF_TRAVEL_US;
  const { centreUs } = learned;
  const down = Math.max(1, centreUs - learned.minUs);
  const up = Math.max(1, learned.maxUs - centreUs);
  return (us) => {
    const off = us[at]! - centreUs;
    return off / (off < 0 ? down : up);
  };
}

/** Reads roll, pitch and yaw sticks into `out`, −1…+1 in pulse terms; 0 where there is no stick. */
export function compileSticks(setup: Setup): (receivedUs: Float64Array, out: Float64Array) => void {
  const none = { channel: -1, weight: 0, read: () => 0 };
  const axes = AXES.map((axis) => {
    for (const group of STICK_SOURCES[axis]) {
      const reads = group.map((g) => ({
        read: compileFunction(setup, g.carries),
        weight: g.weight,
      }));
      if (reads.every((r) => r.read !== undefined))
        return {
          a: reads[0]!.read!,
          wa: reads[0]!.weight,
          b: reads[1]?.read,
          wb: reads[1]?.weight ?? 0,
        };
    }
    return { a: none.read as ReadFunction, wa: 0, b: undefined, wb: 0 };
  });
  return (us, out) => {
    for (let i = 0; i < 3; i++) {
      const { a, wa, b, wb } = axes[i]!;
      const value = b === undefined ? wa * a(us) : wa * a(us) + wb * b(us);
      out[i] = Number.isNaN(value) ? 0 : value;
    }
  };
}

/** The unit's belief of what a longer pulse asks for on each axis: roll right, nose up, nose right = +1. */
export function senses(setup: Setup): Float64Array {
  const { traits, settings } = setup.unit;
  return Float64Array.from(AXES, (axis) => {
    if (traits.correctionDirection === 'learned') {
      const carries = STICK_SOURCES[axis][0]![0]!.carries;
      const learned = setup.installation.travelCapture?.find((t) => t.carries === carries);
      if (learned) return learned.sense;
    }
    return traits.nominalSense[axis] * (settings.axes[axis].reversed ? -1 : 1);
  });
}
