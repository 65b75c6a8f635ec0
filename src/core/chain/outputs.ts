import type { Output, Setup } from '../setup';
import type { Frame } from './frame';

/**
 * Reverse, endpoints, subtrim: the value is turned round if reversed, scaled by the endpoint of its
 * side, moved by the subtrim, and stopped at the endpoints, so subtrim costs travel on one side.
 * @param valuePct what the lines gave @returns percent of nominal travel
 */
export function shapeOutput(output: Output, valuePct: number): number {
  const value = output.reversed ? -valuePct : valuePct;
  const scaled = (value * (value < 0 ? -output.minPct : output.maxPct)) / 100;
  return Math.min(output.maxPct, Math.max(output.minPct, scaled + output.subtrimPct));
}

/** Pulse width of a percentage on a transmitter's scale. */
export function pulseUs(pulse: Setup['transmitter']['pulse'], pct: number): number {
  return pulse.centreUs + (pct / 100) * pulse.usAt100;
}

/** Third link: what the transmitter sends on every channel. */
export function compileOutputs(setup: Setup): (frame: Frame) => void {
  const { pulse, channels, throttleReversedInside, defaultOrder, switchOnly } = setup.transmitter;
  const plain = (channel: number): Output => ({
    channel,
    carries: 'aux1',
    reversed: false,
    subtrimPct: 0,
    minPct: -100,
    maxPct: 100,
  });
  const outputs = Array.from({ length: channels }, (_, i) => {
    const output = setup.program.outputs.find((o) => o.channel === i + 1) ?? plain(i + 1);
    const inside = throttleReversedInside && defaultOrder[i] === 'throttle';
    return {
      reversed: output.reversed !== inside,
      down: -output.minPct / 100,
      up: output.maxPct / 100,
      subtrim: output.subtrimPct,
      min: output.minPct,
      max: output.maxPct,
      stepped: switchOnly.includes(i + 1),
    };
  });
  const scale = pulse.usAt100 / 100;
  return (frame) => {
    for (let i = 0; i < channels; i++) {
      const o = outputs[i]!;
      let value = frame.channelsPct[i]!;
      // A switch-only channel knows three values and nothing between.
      if (o.stepped) value = value < -50 ? -100 : value > 50 ? 100 : 0;
      if (o.reversed) value = -value;
      value = value * (value < 0 ? o.down : o.up) + o.subtrim;
      if (value < o.min) value = o.min;
      else if (value > o.max) value = o.max;
      frame.sentUs[i] = pulse.centreUs + value * scale;
    }
  };
}
