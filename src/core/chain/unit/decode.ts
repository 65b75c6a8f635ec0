import { AXES, type ChannelFunction, type Setup } from '../../setup';
import { CENTRE_US, HALF_TRAVEL_US } from './laws';
import { STICK_SOURCES } from './functions';

/** How the unit reads a function: from which channel, round which centre, over which travel. */
export interface Reading {
  at: number;
  centreUs: number;
  downPerUs: number;
  upPerUs: number;
}

/** What it learned of the steering a unit keeps under the yaw stick. */
const filedUnder = (carries: ChannelFunction): ChannelFunction =>
  carries === 'steering' ? 'rudder' : carries;

/** The channel of a function as the unit has learned it; undefined when it has none. */
export function compileReading(setup: Setup, carries: ChannelFunction): Reading | undefined {
  const input = setup.unit.settings.inputs.find((i) => i.carries === carries);
  if (!input || input.channel > setup.transmitter.channels) return undefined;
  const learned = setup.installation.travelCapture?.find((t) => t.carries === filedUnder(carries));
  const centreUs = learned?.centreUs ?? CENTRE_US;
  return {
    at: input.channel - 1,
    centreUs,
    downPerUs: 1 / Math.max(1, centreUs - (learned?.minUs ?? CENTRE_US - HALF_TRAVEL_US)),
    upPerUs: 1 / Math.max(1, (learned?.maxUs ?? CENTRE_US + HALF_TRAVEL_US) - centreUs),
  };
}

/** A function as −1…+1 of its travel; NaN where nothing arrives. */
export const readFunction = (reading: Reading, receivedUs: Float64Array): number =>
  shareOf(reading, receivedUs[reading.at]!);

/** A pulse as −1…+1 of the travel of a function. */
export function shareOf(reading: Reading, us: number): number {
  const off = us - reading.centreUs;
  return off * (off < 0 ? reading.downPerUs : reading.upPerUs);
}

/** Reads roll, pitch and yaw sticks into `out`, −1…+1 in pulse terms; 0 where there is no stick. */
export function compileSticks(setup: Setup): (receivedUs: Float64Array, out: Float64Array) => void {
  const axes = AXES.map((axis) => {
    for (const group of STICK_SOURCES[axis]) {
      const parts = group.flatMap(({ carries, weight }) => {
        const reading = compileReading(setup, carries);
        return reading ? [{ ...reading, weight }] : [];
      });
      if (parts.length === group.length) return parts;
    }
    return [];
  });
  return (us, out) => {
    for (let i = 0; i < 3; i++) {
      const parts = axes[i]!;
      let value = 0;
      for (let j = 0; j < parts.length; j++) {
        const part = parts[j]!;
        value += part.weight * shareOf(part, us[part.at]!);
      }
      out[i] = value === value ? value : 0;
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
