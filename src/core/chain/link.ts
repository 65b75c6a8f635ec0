import type { Setup } from '../setup';
import type { Frame, Memory } from './frame';
import { pulseUs } from './outputs';

/**
 * Fourth link: the radio. Up: the channels its variant carries arrive, the others never do. Lost:
 * each channel does what its failsafe says; a channel without one holds its last value.
 */
export function compileLink(setup: Setup): (linkUp: boolean, memory: Memory, frame: Frame) => void {
  const { transmitter, program } = setup;
  const carried = transmitter.linkVariants.find((v) => v.id === transmitter.link)!.channels;
  const HOLD = -1;
  const lost = Float64Array.from({ length: transmitter.channels }, (_, i) => {
    const failsafe = program.failsafe.find((f) => f.channel === i + 1);
    if (!failsafe || failsafe.kind === 'hold') return HOLD;
    return failsafe.kind === 'no-pulses' ? NaN : pulseUs(transmitter.pulse, failsafe.valuePct);
  });
  return (linkUp, memory, frame) => {
    for (let i = 0; i < lost.length; i++) {
      if (i >= carried) frame.receivedUs[i] = NaN;
      else if (linkUp) {
        frame.receivedUs[i] = frame.sentUs[i]!;
        memory.lastReceivedUs[i] = frame.sentUs[i]!;
      } else frame.receivedUs[i] = lost[i] === HOLD ? memory.lastReceivedUs[i]! : lost[i]!;
    }
  };
}
