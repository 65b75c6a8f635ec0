import type { Output, Unit } from '../setup';
import type { Assignment } from './channels';

/** Panic recovery to start from: bank and pitch small enough that a panicked stick cannot hurt. */
export function usualRecovery(unit: Unit): NonNullable<Unit['settings']['recovery']> {
  return {
    mode: unit.traits.modes.includes('level') ? 'level' : 'rate',
    rollLimitDeg: 15,
    pitchLimitDeg: 15,
    delayMs: 300,
    thresholdUs: 1700,
  };
}

/** The output stage of a channel nobody has set anything for. */
export const untouched = ({ carries, channel }: Assignment[number]): Output => ({
  channel,
  carries,
  reversed: false,
  subtrimPct: 0,
  minPct: -100,
  maxPct: 100,
});
