/** Standard gravity, m/s² (ISO 80000-3). */
export const G_MPS2 = 9.80665;
const RAD = Math.PI / 180;

/** Load factor in a level turn, 1/cos φ (FAA-H-8083-25). @param bankDeg below 90 */
export const loadFactor = (bankDeg: number): number => 1 / Math.cos(bankDeg * RAD);

/**
 * Radius of a level turn, R = V²/(g·tan φ) (FAA-H-8083-25, Pilot's Handbook of Aeronautical
 * Knowledge). @param speedMps true speed @param bankDeg 0…<90 @returns metres, Infinity when level
 */
export const turnRadiusM = (speedMps: number, bankDeg: number): number =>
  bankDeg === 0 ? Infinity : (speedMps * speedMps) / (G_MPS2 * Math.tan(Math.abs(bankDeg) * RAD));

/** Rate of a level turn, ω = g·tan φ/V (FAA-H-8083-25), degrees a second. */
export const turnRateDegPerS = (speedMps: number, bankDeg: number): number =>
  (G_MPS2 * Math.tan(Math.abs(bankDeg) * RAD)) / speedMps / RAD;

/**
 * Bank that makes a model turn by itself at this rate: tan φ = V·ω/g (level turn, FAA-H-8083-25).
 * @param turnDegPerS right positive @returns degrees, right positive
 */
export const bankOfDrift = (turnDegPerS: number, speedMps: number): number =>
  Math.atan((speedMps * turnDegPerS * RAD) / G_MPS2) / RAD;
