import type { Setup } from '../setup';
import { compileActuators } from './actuators';
import {
  layoutOf,
  newFrame,
  newMemory,
  type Frame,
  type Layout,
  type Memory,
  type Stimulus,
} from './frame';
import { carriedChannels, compileLink } from './link';
import { compileOutputs } from './outputs';
import { compileProgram } from './program';
import { compileUnit } from './unit';

/** A Setup compiled: what everything does for any stick, switch and movement of the model. */
export interface Chain {
  setup: Setup;
  layout: Layout;
  /** One moment: reads stimulus and memory, writes memory and frame, keeps nothing of its own. */
  step(stimulus: Stimulus, memory: Memory, frame: Frame): void;
  /** The rest of a moment from pulses that arrived: unit, servos and motors for `frame.receivedUs`. */
  fromLink(stimulus: Stimulus, memory: Memory, frame: Frame): void;
  newMemory(): Memory;
  newFrame(): Frame;
  /** Nobody touches anything: controls at rest, model level and still, link up, no time passing. */
  restStimulus(): Stimulus;
}

/** Compiles a valid Setup. Throws nothing for a Setup that `parseSetup` accepted. */
export function compileChain(setup: Setup): Chain {
  const layout = layoutOf(setup);
  const program = compileProgram(setup, layout);
  const outputs = compileOutputs(setup);
  const link = compileLink(setup);
  const unit = compileUnit(setup);
  const actuators = compileActuators(setup, layout.ports);
  return {
    setup,
    layout,
    step(stimulus, memory, frame) {
      program(stimulus, memory, frame);
      outputs(stimulus.dtS, memory, frame);
      link(stimulus.linkUp, memory, frame);
      unit(stimulus, memory, frame);
      actuators(frame);
    },
    fromLink(stimulus, memory, frame) {
      unit(stimulus, memory, frame);
      actuators(frame);
    },
    newMemory: () => newMemory(layout),
    newFrame() {
      const frame = newFrame(layout);
      frame.sentUs.fill(setup.transmitter.pulse.centreUs);
      frame.receivedUs.fill(setup.transmitter.pulse.centreUs, 0, carriedChannels(setup));
      frame.receivedUs.fill(NaN, carriedChannels(setup));
      frame.portsUs.fill(NaN);
      return frame;
    },
    restStimulus: () => ({
      controls: Float64Array.from(setup.transmitter.controls, (c) => c.rest),
      linkUp: true,
      positionFix: true,
      rollDeg: 0,
      pitchDeg: 0,
      rollRateDegPerS: 0,
      pitchRateDegPerS: 0,
      yawRateDegPerS: 0,
      dtS: 0,
    }),
  };
}
