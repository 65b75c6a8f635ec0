import type { RatesWish, Setup } from '../../setup';
import { USUAL_RATE } from '../figures';
import { positionsOfSwitches } from '../wishes/modes';
import { SWITCHES } from './kinds';

export type Rate = { pct: number; expoPct: number };

/** For a first flight with the unit off. Common practice, no source. */
const LOW: Rate = { pct: 50, expoPct: 30 };
const FULL: Rate = USUAL_RATE;

/** Rates on a switch: low at its first position. */
export const ratesOn = (setup: Setup, control: string): RatesWish => ({
  by: 'switch',
  control,
  at: Array.from({ length: positionsOfSwitches(setup, [control]) }, (_, i) =>
    i === 0 ? LOW : FULL,
  ),
});

/** A first answer for each way. @returns undefined where no switch is there for it */
export function usualRates(setup: Setup, by: RatesWish['by']): RatesWish | undefined {
  if (by === 'one') return { by, ...FULL };
  if (by === 'mode') return { by, off: LOW, on: FULL };
  const free = setup.transmitter.controls.find((c) => SWITCHES.includes(c.kind));
  return free && ratesOn(setup, free.id);
}
