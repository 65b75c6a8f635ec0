import { expect } from 'vitest';
import { garganeySetup } from '@/demo/models/garganey';
import type { Shape } from './kit';

/** Gain locked on the flap switch, with a master off on another that has two of three positions off. */
export const lockedGain: Shape = {
  name: 'gain by flap position, master off with two offs of three',
  make: garganeySetup,
  drives(model) {
    const at = (sb: number, sc: number) => model.fresh().hands({ sb, sc }).frame.gainPct[0]!;
    expect([-100, 0].map((sc) => at(0, sc))).toEqual([0, 0]);
    for (const [sb, pct] of [
      [-100, 38],
      [0, 46.5],
      [100, 54],
    ] as const)
      expect(Math.abs(at(sb, 100) - pct)).toBeLessThan(0.5);
  },
};
