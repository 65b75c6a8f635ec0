import type { Output, Setup, Unit } from '../setup';
import type { Assignment, ChannelPlan } from './channels';

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

/** What a gain channel is set to before its lead is pulled, where nobody said: moderate by every law. Planning figure, no source. */
const KEPT_GAIN_PCT = 30;

/** The gain lead where a plan sets it once and pulls it: out, with the value it was pulled at. */
export const leadPulled = (
  { taken }: Pick<ChannelPlan, 'taken'>,
  lastPct = KEPT_GAIN_PCT,
): Partial<Pick<Setup['installation'], 'gainLead' | 'gainLeadLastPct'>> =>
  taken.some((way) => way.id === 'drop-gain-lead')
    ? { gainLead: false, gainLeadLastPct: lastPct }
    : {};
