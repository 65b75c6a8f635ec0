import type { Output, Setup } from '../setup';
import type { Frame, Memory } from './frame';

/**
 * Reverse, endpoints, subtrim: the sign changes where the output is reversed, then the value is scaled by the endpoint of its
 * side, moved by the subtrim, and stopped at the endpoints, so subtrim costs travel on one side.
 * @param valuePct what the lines gave @returns percent of nominal travel
 */
export function shapeOutput(
  output: Pick<Output, 'reversed' | 'subtrimPct' | 'minPct' | 'maxPct'>,
  valuePct: number,
): number {
  const { minPct, maxPct } = output;
  const value = output.reversed ? -valuePct : valuePct;
  const shaped = (value * (value < 0 ? -minPct : maxPct)) / 100 + output.subtrimPct;
  return shaped < minPct ? minPct : shaped > maxPct ? maxPct : shaped;
}

/** Pulse width of a percentage on a transmitter's scale. */
export function pulseUs(pulse: Setup['transmitter']['pulse'], pct: number): number {
  return pulse.centreUs + (pct / 100) * pulse.usAt100;
}

/**
 * Channels something is said about. The others stand still at centre, and are written once when a
 * frame is made.
 */
export function activeChannels(setup: Setup): number[] {
  const { lines, outputs, failsafe } = setup.program;
  const named = [...lines, ...outputs, ...failsafe].map((x) => x.channel);
  return [...new Set(named)].filter((c) => c <= setup.transmitter.channels).sort((a, b) => a - b);
}

/** The last stage of one channel, as the transmitter has it; channel 1 is index 0. */
export interface CompiledOutput {
  at: number;
  reversed: boolean;
  subtrimPct: number;
  minPct: number;
  maxPct: number;
  /** It knows so many values and nothing between; 0 where it knows them all. */
  steps: 0 | 2 | 3;
  /** Seconds from one end to the other; 0 at once. */
  slowS: number;
}

/** How a channel leaves the transmitter, whether or not anything is said about it. */
export function outputOf(setup: Setup, channel: number): CompiledOutput {
  const { throttleReversedInside, defaultOrder, switchOnly, switchOnlyPositions } =
    setup.transmitter;
  const output = setup.program.outputs.find((o) => o.channel === channel);
  const inside = throttleReversedInside && defaultOrder[channel - 1] === 'throttle';
  return {
    at: channel - 1,
    reversed: (output?.reversed ?? false) !== inside,
    subtrimPct: output?.subtrimPct ?? 0,
    minPct: output?.minPct ?? -100,
    maxPct: output?.maxPct ?? 100,
    steps: switchOnly.includes(channel) ? (switchOnlyPositions ?? 3) : 0,
    slowS: output?.slowS ?? 0,
  };
}

/** Third link: what the transmitter sends. */
export function compileOutputs(setup: Setup): (dtS: number, memory: Memory, frame: Frame) => void {
  const { pulse } = setup.transmitter;
  const outputs = activeChannels(setup).map((channel) => outputOf(setup, channel));
  const scale = pulse.usAt100 / 100;
  const centre = pulse.centreUs;
  return (dtS, memory, frame) => {
    const { channelsPct, sentUs } = frame;
    for (let i = 0; i < outputs.length; i++) {
      const o = outputs[i]!;
      let value = channelsPct[o.at]!;
      if (o.steps !== 0) value = stepOf(o.steps, value);
      if (o.slowS > 0) value = creep(memory.slowPct, o, value, dtS);
      sentUs[o.at] = centre + shapeOutput(o, value) * scale;
    }
  };
}

/** Where a channel that knows few values goes from one to the next, in percent. */
export const STEPS_PCT: Readonly<Record<0 | 2 | 3, readonly number[]>> = {
  0: [],
  2: [0],
  3: [-50, 50],
};

function stepOf(steps: 0 | 2 | 3, pct: number): number {
  if (steps === 0) return pct;
  if (steps === 2) return pct > 0 ? 100 : -100;
  return pct < -50 ? -100 : pct > 50 ? 100 : 0;
}

/** What a channel that knows few values can send, in percent of what its lines give. */
const VALUES_PCT: Readonly<Record<2 | 3, readonly number[]>> = {
  2: [-100, 100],
  3: [-100, 0, 100],
};

/**
 * The pulse nearest to a wanted one that a channel can send by itself: one that carries a switch sends
 * the pulses of its positions and nothing between, when the signal is lost as well.
 */
export function sendableUs(
  pulse: Setup['transmitter']['pulse'],
  output: CompiledOutput,
  wantedUs: number,
): number {
  if (output.steps === 0) return wantedUs;
  return VALUES_PCT[output.steps]
    .map((pct) => sentUs(pulse, output, pct))
    .reduce((a, b) => (Math.abs(b - wantedUs) < Math.abs(a - wantedUs) ? b : a));
}

/** A slow channel on its way: from end to end, 200 %, in its time. */
function creep(slowPct: Float64Array, { at, slowS }: CompiledOutput, to: number, dtS: number) {
  const from = slowPct[at]!;
  const most = (200 / slowS) * dtS;
  const now = Number.isNaN(from) ? to : from + Math.max(-most, Math.min(most, to - from));
  slowPct[at] = now;
  return now;
}

/** Pulse of a channel for what its lines gave, in microseconds. */
export function sentUs(
  pulse: Setup['transmitter']['pulse'],
  output: CompiledOutput,
  valuePct: number,
): number {
  return pulseUs(pulse, shapeOutput(output, stepOf(output.steps, valuePct)));
}

/**
 * What the lines must give for a pulse, found by halving: the last stage rises, or falls, all the way.
 * @param loPct @param hiPct between which the pulse is passed
 */
export function shapeOf(
  pulse: Setup['transmitter']['pulse'],
  output: CompiledOutput,
  us: number,
  loPct: number,
  hiPct: number,
): number {
  let [lo, hi] = [loPct, hiPct];
  const rising = sentUs(pulse, output, hi) > sentUs(pulse, output, lo);
  for (let i = 0; i < 60; i++) {
    const mid = (lo + hi) / 2;
    if (sentUs(pulse, output, mid) > us === rising) hi = mid;
    else lo = mid;
  }
  return (lo + hi) / 2;
}
