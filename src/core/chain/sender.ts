import type { Setup } from '../setup';
import {
  layoutOf,
  newFrame,
  newMemory,
  type Frame,
  type Layout,
  type Memory,
  type Stimulus,
} from './frame';
import { compileOutputs } from './outputs';
import { compileProgram } from './program';

/** The first half of the chain: from the hands to the pulses a transmitter sends. */
export interface Sender {
  layout: Layout;
  /** One moment, as `Chain.step` up to `frame.sentUs`. */
  step(stimulus: Stimulus, memory: Memory, frame: Frame): void;
  newMemory(): Memory;
  newFrame(): Frame;
}

/** Nobody touches anything: controls at rest, model level and still, link up, no time passing. */
export function restStimulusOf({ transmitter }: Setup): Stimulus {
  // Asked for thousands of times in a proof: filled in place, which is many times quicker than `from`.
  const controls = new Float64Array(transmitter.controls.length);
  transmitter.controls.forEach((c, i) => {
    controls[i] = c.rest;
  });
  return {
    controls,
    linkUp: true,
    positionFix: true,
    rollDeg: 0,
    pitchDeg: 0,
    rollRateDegPerS: 0,
    pitchRateDegPerS: 0,
    yawRateDegPerS: 0,
    dtS: 0,
  };
}

/** Compiles what the transmitter alone does: enough for its channel monitor, and quicker than the whole. */
export function compileSender(setup: Setup): Sender {
  const layout = layoutOf(setup);
  const program = compileProgram(setup, layout);
  const outputs = compileOutputs(setup);
  return {
    layout,
    step(stimulus, memory, frame) {
      program(stimulus, memory, frame);
      outputs(stimulus.dtS, memory, frame);
    },
    newMemory: () => newMemory(layout),
    newFrame() {
      const frame = newFrame(layout);
      frame.sentUs.fill(setup.transmitter.pulse.centreUs);
      return frame;
    },
  };
}
