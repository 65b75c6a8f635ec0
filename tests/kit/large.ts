import type { Logic, Setup } from '@/core/setup';
import { makeSetup } from './setups';

/** A program whose proof is larger than anybody can wait for: eleven latches in one channel. */
export function largeSetup(latches = 11): Setup {
  const setup = makeSetup();
  addLatches(setup, latches);
  return setup;
}

/** Latches that each shift the mode channel a little, moved by switches all over the transmitter. */
export function addLatches(setup: Setup, latches: number): void {
  const mode = setup.program.outputs.find((o) => o.carries === 'mode')!.channel;
  const switches = setup.transmitter.controls.filter((c) => c.kind.startsWith('switch'));
  for (let n = 0; n < latches; n++) {
    const on = switches[n % switches.length]!;
    const off = switches[(n * 3 + 1) % switches.length]!;
    const latch: Logic = {
      id: `big-${n}`,
      label: `Latch ${n}`,
      op: 'latch',
      set: { kind: 'switch', control: on.id, position: 1 },
      reset: {
        kind: 'all',
        of: [
          { kind: 'switch', control: off.id, position: 0 },
          { kind: 'switch', control: switches[(n + 2) % switches.length]!.id, position: 0 },
        ],
      },
    };
    setup.program.logic.push(latch);
    setup.program.lines.push({
      id: `big-line-${n}`,
      channel: mode,
      follows: { kind: 'fixed' },
      sharePct: 0,
      shiftPct: n % 2 ? 0.5 : -0.5,
      when: { kind: 'logic', id: latch.id },
      effect: 'adds',
      purpose: 'other',
    });
  }
}
