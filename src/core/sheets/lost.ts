import { lostOf, pulseUs } from '../chain';
import type { ChannelFunction, Setup } from '../setup';
import { pct } from './words';

/** What a channel does when the signal is lost, as it was entered and as the receiver makes it. */
export interface LostChannel {
  channel: number;
  carries: ChannelFunction;
  /** What was entered. */
  entered: 'preset' | 'hold' | 'no-pulses' | 'unset';
  valuePct: number | undefined;
  /** What happens: "goes to −100 %", "holds the last". */
  words: string;
  us: number | undefined;
}

/** What every channel does when the signal is lost, in words and as a pulse where it is known. */
export function channelLost(setup: Setup): LostChannel[] {
  const { pulse } = setup.transmitter;
  return setup.program.outputs.map(({ channel, carries }) => {
    const own = setup.program.failsafe.find((f) => f.channel === channel);
    const receiver = lostOf(setup, channel);
    const entered: LostChannel['entered'] = own?.kind ?? 'unset';
    const valuePct = own?.kind === 'preset' ? own.valuePct : undefined;
    const said = { channel, carries, entered, valuePct };
    if (receiver === 'no-pulses' || (receiver === 'presets' && own?.kind === 'no-pulses'))
      return { ...said, words: 'sends nothing', us: undefined };
    if (receiver === 'presets' && valuePct !== undefined)
      return { ...said, words: `goes to ${pct(valuePct)}`, us: pulseUs(pulse, valuePct) };
    const why = receiver === 'holds' && own?.kind === 'preset' ? ': it cannot do otherwise' : '';
    return { ...said, words: `holds the last${why}`, us: undefined };
  });
}
