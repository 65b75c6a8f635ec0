import { USUAL_UNIT, type UnitConstants } from '../../chain';
import type { Draw } from './spread';

/** How strongly the unit may answer. */
export const unitOf = ({ unitRate, unitLevel, shortest }: Draw): UnitConstants => ({
  ratePctPerDegS: USUAL_UNIT.ratePctPerDegS * unitRate,
  holdPctPerDeg: USUAL_UNIT.holdPctPerDeg * unitLevel,
  levelStrength: USUAL_UNIT.levelStrength * unitLevel,
  levelRatePctPerDegS: USUAL_UNIT.levelRatePctPerDegS * unitRate,
  beyond: shortest ? 'shortest' : 'angles',
});
