import type { Setup } from '../setup';
import type { Frame, Memory } from './frame';
import { activeChannels, outputOf, pulseUs, sendableUs } from './outputs';

/**
 * Fourth link: the radio. Up: the channels its variant carries arrive, the others never do. Lost:
 * each channel does what its failsafe says, as far as the receiver can; one without holds its last value.
 */
export function compileLink(setup: Setup): (linkUp: boolean, memory: Memory, frame: Frame) => void {
  const { transmitter, program } = setup;
  const carried = carriedChannels(setup);
  const HOLD = -1;
  const channels = activeChannels(setup)
    .filter((channel) => channel <= carried)
    .map((channel) => {
      const failsafe = program.failsafe.find((f) => f.channel === channel);
      const receiver = lostOf(setup, channel);
      const lostUs =
        receiver === 'no-pulses'
          ? NaN
          : receiver === 'holds' || !failsafe || failsafe.kind === 'hold'
            ? HOLD
            : failsafe.kind === 'no-pulses'
              ? NaN
              : sendableUs(
                  transmitter.pulse,
                  outputOf(setup, channel),
                  pulseUs(transmitter.pulse, failsafe.valuePct),
                );
      return { at: channel - 1, lostUs };
    });
  return (linkUp, memory, frame) => {
    const { sentUs, receivedUs } = frame;
    const { lastReceivedUs } = memory;
    for (let i = 0; i < channels.length; i++) {
      const { at, lostUs } = channels[i]!;
      if (linkUp) {
        const us = sentUs[at]!;
        receivedUs[at] = us;
        lastReceivedUs[at] = us;
      } else receivedUs[at] = lostUs === HOLD ? lastReceivedUs[at]! : lostUs;
    }
  };
}

/** What the receiver makes of a lost signal on a channel, whatever was entered for it. */
export function lostOf(
  { installation, transmitter }: Pick<Setup, 'installation' | 'transmitter'>,
  channel: number,
): 'presets' | 'holds' | 'no-pulses' {
  const lost = installation.receiver?.lost ?? 'presets';
  const switched = transmitter.switchOnly.includes(channel);
  return lost === 'presets' && switched && transmitter.switchOnlyLost === 'hold' ? 'holds' : lost;
}

/** How many channels the chosen link variant carries. */
export function carriedChannels({ transmitter }: Pick<Setup, 'transmitter'>): number {
  return transmitter.linkVariants.find((v) => v.id === transmitter.link)!.channels;
}
