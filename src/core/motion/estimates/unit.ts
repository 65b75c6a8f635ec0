import { USUAL_UNIT, type UnitConstants } from '../../chain';
import type { Draw } from './spread';

/**
 * Rate damping is taken for stronger than the bench shows it: so strong that usual models begin to shake at about full
 * gain. Common practice, no source.
 */
const RATE = 5;

/** How strongly the unit may answer. */
export const unitOf = ({ unitRate, unitLevel, shortest }: Draw): UnitConstants => ({
  ratePctPerDegS: RATE * USUAL_UNIT.ratePctPerDegS * unitRate,
  holdPctPerDeg: USUAL_UNIT.holdPctPerDeg * unitLevel,
  // No further than its surface can answer.
  holdMostDeg: 100 / (USUAL_UNIT.holdPctPerDeg * unitLevel),
  levelStrength: USUAL_UNIT.levelStrength * unitLevel,
  levelRatePctPerDegS: USUAL_UNIT.levelRatePctPerDegS * unitRate,
  beyond: shortest ? 'shortest' : 'angles',
});
