import type { GainLaw, UnitSettings } from '../../setup';

/*
 * How strongly a unit of gain 100 %, class ×1 answers. Model figures, no source: they make the
 * movement on the bench about as large as a real unit's, and no verdict depends on their size.
 */
export interface UnitConstants {
  /** Output per rate of rotation in rate damping. */
  ratePctPerDegS: number;
  /** Output per degree drifted in attitude hold. */
  holdPctPerDeg: number;
  /** Drift it holds against at most, degrees: one that knows its stops does not wind up. */
  holdMostDeg: number;
  /** Output per degree from the wanted attitude in self-levelling, as a multiple of full/limit. */
  levelStrength: number;
  /** Damping inside self-levelling. */
  levelRatePctPerDegS: number;
  /**
   * What levelling does far from level, which no leaflet says: bank and pitch angle by angle, or the shortest way
   * round. Alike as long as the model is upright.
   */
  beyond: 'angles' | 'shortest';
}

export const USUAL_UNIT: UnitConstants = {
  ratePctPerDegS: 0.5,
  holdPctPerDeg: 3,
  holdMostDeg: Infinity,
  levelStrength: 1,
  levelRatePctPerDegS: 0.15,
  beyond: 'angles',
};

/** A stick further out than this moves the hold reference. */
export const HOLD_DEADBAND_PCT = 5;
/** A stick out further than this rolls or loops on, where levelling lets it. */
export const ROLL_THROUGH_PCT = 90;
/** Nominal half travel a unit expects where it has not learned another. */
export const HALF_TRAVEL_US = 500;
export const CENTRE_US = 1500;

/**
 * Master gain a unit reads from its gain channel.
 * @param value channel as −1…+1 of nominal travel @returns 0…1 (a little more beyond the ends)
 */
export function gainOf(law: GainLaw, value: number): number {
  switch (law) {
    case 'fixed':
      return 1;
    case 'zero-to-full':
      return Math.max(0, value);
    case 'magnitude':
    case 'sign-selects-set':
      return Math.abs(value);
    case 'full-range':
      return Math.max(0, (value + 1) / 2);
  }
}

/** Share of the correction left with the stick out: max(0, 1 − fade × |stick|), both in percent. */
export function fadeOf(fadePct: number, stickPct: number): number {
  return Math.max(0, 1 - (fadePct / 100) * Math.abs(stickPct / 100));
}

/** Pitch the unit aims for with the stick centred, where pitch follows the throttle. */
export function pitchWithThrottleDeg(
  curve: NonNullable<UnitSettings['pitchWithThrottle']>,
  throttlePct: number,
): number {
  const { aboveThrottlePct: high, belowThrottlePct: low } = curve;
  if (throttlePct > high && high < 100)
    return (curve.fullThrottlePitchDeg * (throttlePct - high)) / (100 - high);
  if (throttlePct < low && low > 0) return (curve.idlePitchDeg * (low - throttlePct)) / low;
  return 0;
}
