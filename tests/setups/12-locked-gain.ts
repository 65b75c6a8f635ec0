import { expect } from 'vitest';
import { airframe, planned, transmitterLike, unitLike, type Shape } from './kit';

/** Gain locked on the flap switch, with a master off on another that has two of three positions off. */
export const lockedGain: Shape = {
  name: 'gain by flap position, master off with two offs of three',
  make: () =>
    planned(
      'Garganey',
      {
        airframe: airframe('conventional', { flaps: true }),
        unit: unitLike('menu-receiver', {}),
        transmitter: transmitterLike('line-sixteen', { stepPct: 0.5 }),
      },
      { wish: 'flaps', value: { control: 'sb', downPct: [0, 40, 100] } },
      {
        wish: 'gain',
        value: { by: 'flap', control: 'sb', pct: [38, 46.5, 54], off: 'sc', offPositions: [0, 1] },
      },
    ),
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
