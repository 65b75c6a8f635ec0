/** What one radian of a flap does to its section. */
export interface FlapEffect {
  /** Angle of attack it is worth. */
  tau: number;
  /** Pitching moment about the quarter chord, of q·S·c; nose down negative. */
  moment: number;
}

/** Gaps, boundary layer and hinge: what is left of thin-aerofoil theory. Planning figure. */
const KNOCK_DOWN = 0.8;

/**
 * Glauert's thin aerofoil with a flap: τ = 1 − (θ − sin θ)/π and ∂cm/∂δ = −½·sin θ·(1 − cos θ), the hinge at
 * (1 − cos θ)/2 of the chord.
 * @param share of the chord that moves, 0…1
 */
export function flapOf(share: number, factor: number): FlapEffect {
  const theta = Math.acos(1 - 2 * (1 - Math.min(0.98, Math.max(0.02, share))));
  return {
    tau: factor * KNOCK_DOWN * (1 - (theta - Math.sin(theta)) / Math.PI),
    moment: -0.5 * factor * KNOCK_DOWN * Math.sin(theta) * (1 - Math.cos(theta)),
  };
}
