import type { Mode, Setup } from '../setup';
import { compileActuators } from './actuators';
import { type Frame, type Layout, type Memory, type Stimulus } from './frame';
import { carriedChannels, compileLink } from './link';
import { compileSender, restStimulusOf } from './sender';
import { compileUnit, USUAL_UNIT, type UnitConstants } from './unit';

/** A Setup compiled: what everything does for any stick, switch and movement of the model. */
export interface Chain {
  setup: Setup;
  layout: Layout;
  /** One moment: reads stimulus and memory, writes memory and frame, keeps nothing of its own. */
  step(stimulus: Stimulus, memory: Memory, frame: Frame): void;
  /** The first half of a moment: hands, program and link, up to `frame.receivedUs`. */
  send(stimulus: Stimulus, memory: Memory, frame: Frame): void;
  /** The rest of a moment from pulses that arrived: unit, servos and motors for `frame.receivedUs`. */
  fromLink(stimulus: Stimulus, memory: Memory, frame: Frame): void;
  /** The unit alone: from `frame.receivedUs` to `frame.portsUs`. */
  unit(stimulus: Stimulus, memory: Memory, frame: Frame): void;
  /** Where its pulses send each servo and motor; a servo takes its time, which the bench does not wait for. */
  servos(frame: Frame): void;
  /** Surfaces for servos as they stand. */
  surfaces(frame: Frame): void;
  newMemory(): Memory;
  newFrame(): Frame;
  /** Nobody touches anything: controls at rest, model level and still, link up, no time passing. */
  restStimulus(): Stimulus;
}

/** The radio and the unit alone, for whoever puts one unit after another to the same pulses. */
export interface Receiver {
  /** From `frame.sentUs` to `frame.portsUs`: the middle of `Chain.step`. */
  step(stimulus: Stimulus, memory: Memory, frame: Frame): void;
}

/**
 * Compiles what hears a transmitter, without the transmitter and the servos.
 * @param slots the modes of the unit's slots; read again in each moment, so that units that differ in them alone can share it
 */
export function compileReceiver(
  setup: Setup,
  slots: readonly Mode[] = setup.unit.settings.slots,
): Receiver {
  const link = compileLink(setup);
  const unit = compileUnit(setup, USUAL_UNIT, slots);
  return {
    step(stimulus, memory, frame) {
      link(stimulus.linkUp, memory, frame);
      unit(stimulus, memory, frame);
    },
  };
}

/**
 * Compiles a valid Setup. Throws nothing for a Setup that `parseSetup` accepted. Its joints (`send`, `unit`, `servos`,
 * `surfaces`) one after another are `step`, to the bit.
 * @param constants how strongly this unit answers, which no leaflet says
 */
export function compileChain(setup: Setup, constants: UnitConstants = USUAL_UNIT): Chain {
  const sender = compileSender(setup);
  const { layout } = sender;
  const link = compileLink(setup);
  const unit = compileUnit(setup, constants);
  const actuators = compileActuators(setup, layout.ports);
  return {
    setup,
    layout,
    step(stimulus, memory, frame) {
      sender.step(stimulus, memory, frame);
      link(stimulus.linkUp, memory, frame);
      unit(stimulus, memory, frame);
      actuators.servos(frame);
      actuators.surfaces(frame);
    },
    send(stimulus, memory, frame) {
      sender.step(stimulus, memory, frame);
      link(stimulus.linkUp, memory, frame);
    },
    fromLink(stimulus, memory, frame) {
      unit(stimulus, memory, frame);
      actuators.servos(frame);
      actuators.surfaces(frame);
    },
    unit,
    servos: actuators.servos,
    surfaces: actuators.surfaces,
    newMemory: sender.newMemory,
    newFrame() {
      const frame = sender.newFrame();
      frame.receivedUs.fill(setup.transmitter.pulse.centreUs, 0, carriedChannels(setup));
      frame.receivedUs.fill(NaN, carriedChannels(setup));
      frame.portsUs.fill(NaN);
      return frame;
    },
    restStimulus: () => restStimulusOf(setup),
  };
}
