import { pulseUs } from '../chain';
import type { ChannelFunction, Setup } from '../setup';
import { pct } from './words';

/** What every channel does when the link is lost, in words and as a pulse where it is known. */
export function channelLost(
  setup: Setup,
): { channel: number; carries: ChannelFunction; words: string; us: number | undefined }[] {
  const { pulse } = setup.transmitter;
  return setup.program.outputs.map(({ channel, carries }) => {
    const own = setup.program.failsafe.find((f) => f.channel === channel);
    if (!own) return { channel, carries, words: 'unset: holds the last', us: undefined };
    if (own.kind === 'preset')
      return {
        channel,
        carries,
        words: `goes to ${pct(own.valuePct)}`,
        us: pulseUs(pulse, own.valuePct),
      };
    return {
      channel,
      carries,
      words: own.kind === 'hold' ? 'holds the last' : 'sends nothing',
      us: undefined,
    };
  });
}
