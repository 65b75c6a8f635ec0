import type { Output, Setup } from '../setup';
import type { Frame } from './frame';

/**
 * Reverse, endpoints, subtrim: the value is turned round if reversed, scaled by the endpoint of its
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

/** Third link: what the transmitter sends. */
export function compileOutputs(setup: Setup): (frame: Frame) => void {
  const { pulse, throttleReversedInside, defaultOrder, switchOnly } = setup.transmitter;
  const outputs = activeChannels(setup).map((channel) => {
    const output = setup.program.outputs.find((o) => o.channel === channel);
    const inside = throttleReversedInside && defaultOrder[channel - 1] === 'throttle';
    return {
      at: channel - 1,
      reversed: (output?.reversed ?? false) !== inside,
      subtrimPct: output?.subtrimPct ?? 0,
      minPct: output?.minPct ?? -100,
      maxPct: output?.maxPct ?? 100,
      stepped: switchOnly.includes(channel),
    };
  });
  const scale = pulse.usAt100 / 100;
  const centre = pulse.centreUs;
  return (frame) => {
    const { channelsPct, sentUs } = frame;
    for (let i = 0; i < outputs.length; i++) {
      const o = outputs[i]!;
      let value = channelsPct[o.at]!;
      // A switch-only channel knows three values and nothing between.
      if (o.stepped) value = value < -50 ? -100 : value > 50 ? 100 : 0;
      sentUs[o.at] = centre + shapeOutput(o, value) * scale;
    }
  };
}
