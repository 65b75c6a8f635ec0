import type { Condition, Input, RatesWish, Setup } from '../../setup';
import { anyOf, type Draft } from './draft';
import { alike } from './place';
import { cellsNow, combinations } from './modes';

type Rate = Input['rates'][number];

/** Inputs of the sticks that steer: the throttle wants all of its travel. */
const RATED = ['aileron', 'elevator', 'rudder', 'steering'];

const rate = ({ pct, expoPct }: { pct: number; expoPct: number }, when?: Condition): Rate => ({
  ...(when ? { when } : {}),
  sharePct: pct,
  expoPct,
  owner: 'rates',
});

/** Rates and expo of one input for a choice, the first whose condition holds counting. */
export function ratesOf(setup: Setup, wish: RatesWish): Rate[] {
  switch (wish.by) {
    case 'one':
      return [rate(wish)];
    case 'mode': {
      const off = cellsNow(setup).flatMap((c) => (c.mode === 'off' ? [c.when] : []));
      return [...(off.length > 0 ? [rate(wish.off, anyOf(off))] : []), rate(wish.on)];
    }
    case 'switch': {
      const places = combinations(setup, [wish.control]);
      return wish.at.map((r, i) => (i === wish.at.length - 1 ? rate(r) : rate(r, places[i]!.when)));
    }
  }
}

/**
 * Rates and expo of every steering stick. What the person entered stays: a rate under a condition
 * comes before what is written here, one without a condition stands in its place.
 */
export function writeRates({ setup }: Draft, wish: RatesWish): void {
  for (const input of setup.program.inputs) {
    if (!RATED.includes(input.id)) continue;
    const written = ratesOf(setup, wish);
    const before = input.rates;
    const own = input.rates.filter((r) => r.owner !== 'rates');
    const always = own.find((r) => !r.when);
    input.rates = [
      ...own.filter((r) => r.when),
      ...written
        .filter((r) => r.when || !always)
        .map((r) => before.find((old) => alike(old, r)) ?? r),
      ...(always ? [always] : []),
    ];
  }
}
