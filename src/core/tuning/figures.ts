import { CENTRE_US, HALF_TRAVEL_US, gainOf } from '../chain';
import type { Setup } from '../setup';

/**
 * Gain that a value read off the channel monitor stands for, by the unit's own law.
 * @param monitorPct as shown, percent of this transmitter's scale
 * @returns percent of full gain, a little over 100 beyond the ends; undefined where the unit takes no gain from a channel
 */
export function gainOfReading(
  { unit, transmitter }: Setup,
  monitorPct: number,
): number | undefined {
  const { gainLaw } = unit.traits;
  if (gainLaw === 'fixed') return undefined;
  const { centreUs, usAt100 } = transmitter.pulse;
  const us = centreUs + (monitorPct / 100) * usAt100;
  return 100 * gainOf(gainLaw, (us - CENTRE_US) / HALF_TRAVEL_US);
}

/**
 * Gain a model bears at another speed: the power of its surfaces grows with V², so that what it
 * bears falls with it (common practice, no source). Never above full.
 * @param foundPct gain at which it just did not oscillate @param atMps speed it was found at
 * @param forMps speed it is wanted for; both over 0
 */
export const gainAtSpeed = (foundPct: number, atMps: number, forMps: number): number =>
  Math.min(100, foundPct * (atMps / forMps) ** 2);

/** Room left below the gain at which it oscillates: half, the usual 6 dB (MIL-F-9490D). */
export const MARGIN = 0.5;
