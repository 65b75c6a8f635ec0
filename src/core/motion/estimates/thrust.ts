/** Thrust at full power: the most at rest, none at pitch speed, a straight line between. */
export interface Thrust {
  staticN: number;
  pitchMps: number;
}

/** At its usual speed it needs this share of what is there, and it has at least this share of its weight. Planning figures. */
const USED = 0.4;
const LEAST_OF_WEIGHT = 0.6;
/** A propeller gives nothing any more at so many times the usual speed. Planning figure. */
const PITCH_SPEED = 2.2;

/** @param neededN drag at the usual speed */
export function thrustOf(
  neededN: number,
  weightN: number,
  usualMps: number,
  factor: number,
): Thrust {
  const pitchMps = PITCH_SPEED * usualMps;
  const left = 1 - usualMps / pitchMps;
  return {
    staticN: factor * Math.max(LEAST_OF_WEIGHT * weightN, neededN / (USED * left)),
    pitchMps,
  };
}
