import { compileSender, restStimulusOf } from '../chain';
import type { Setup } from '../setup';

/** Hands on the transmitter, by control id in percent; what is not named rests. */
export type Hands = Readonly<Record<string, number>>;

/** What the channel monitor shows, percent of this transmitter's scale, after the output stage. */
export interface Monitor {
  /** @returns the value once everything has settled, and how long something must be held for it */
  read(channel: number, hands: Hands): { pct: number; holdS: number };
}

/** Values closer than this on the monitor are the same. */
const SAME_PCT = 0.5;

/** The monitor of a transmitter with this program, the hands put somewhere from rest. */
export function monitorOf(setup: Setup): Monitor {
  const sender = compileSender(setup);
  const frame = sender.newFrame();
  const { pulse } = setup.transmitter;
  const waits = setup.program.logic.flatMap((l) => (l.op === 'delay' ? [l.onS] : []));
  const slow = setup.program.outputs.map((o) => o.slowS ?? 0);
  const longestS = Math.max(0, ...waits);
  const settleS = Math.max(longestS, ...slow);
  const rest = restStimulusOf(setup);
  const atRest = rest.controls.slice();
  // A sender remembers its logic and what moves slowly, and nothing else.
  const memory = sender.newMemory();
  const shown = (channel: number) =>
    ((frame.sentUs[channel - 1]! - pulse.centreUs) / pulse.usAt100) * 100;
  return {
    read(channel, hands) {
      memory.logic.fill(0);
      memory.slowPct.fill(NaN);
      rest.controls.set(atRest);
      rest.dtS = 0;
      sender.step(rest, memory, frame);
      for (const id in hands) {
        const at = sender.layout.controls.get(id);
        if (at !== undefined) rest.controls[at] = hands[id]!;
      }
      sender.step(rest, memory, frame);
      const atOnce = shown(channel);
      if (settleS === 0) return { pct: atOnce, holdS: 0 };
      rest.dtS = settleS + 0.1;
      sender.step(rest, memory, frame);
      const pct = shown(channel);
      return { pct, holdS: Math.abs(pct - atOnce) > SAME_PCT ? longestS : 0 };
    },
  };
}
