import { G_MPS2 } from './turn';

const RAD = Math.PI / 180;

/** What to put under which end so that the model lies on the bench as it flies. */
export interface Wedge {
  under: 'tail' | 'nose' | 'nothing';
  heightMm: number;
  /** How much of a millimetre's error shows as a degree: this many millimetres are 1°. */
  mmPerDeg: number;
}

/**
 * Block height that tips a model from how it stands to how it flies: h = L·sin|Δ|, the supports
 * L apart, turning about the one that stays.
 * @param baseMm between the supports, fore and aft, over 0
 * @param standingDeg @param wantedDeg pitch, nose up positive, less than 90° apart
 */
export function wedgeFor(baseMm: number, standingDeg: number, wantedDeg: number): Wedge {
  const delta = wantedDeg - standingDeg;
  const heightMm = baseMm * Math.sin(Math.abs(delta) * RAD);
  return {
    under: Math.abs(heightMm) < 0.5 ? 'nothing' : delta < 0 ? 'tail' : 'nose',
    heightMm,
    mmPerDeg: baseMm * Math.sin(RAD),
  };
}

/** Pitch a model lies at with a block under one end: the wedge read backwards. Degrees. */
export function pitchOn(
  baseMm: number,
  standingDeg: number,
  under: 'tail' | 'nose',
  heightMm: number,
): number {
  const tip = Math.asin(Math.max(-1, Math.min(1, heightMm / baseMm))) / RAD;
  return standingDeg + (under === 'nose' ? tip : -tip);
}

/**
 * How much the captured pitch is low when the model sinks in self-levelling: asin(w/V).
 * @param sinkMps down positive @param speedMps over 0 @returns degrees, up positive
 */
export const pitchLowBy = (sinkMps: number, speedMps: number): number =>
  Math.asin(Math.max(-1, Math.min(1, sinkMps / speedMps))) / RAD;

/** Share of one axis that a skew of the unit leaks into another: sin ψ. */
export const skewLeak = (skewDeg: number): number => Math.abs(Math.sin(skewDeg * RAD));

/**
 * What an accelerometer off the centre of gravity feels in a steady rotation, ω²·r (rigid-body
 * kinematics), and by how much that tilts its idea of level.
 * @param rateDegPerS rotation @param offsetMm distance from the axis of that rotation, 0 or more
 */
export function leverArm(
  rateDegPerS: number,
  offsetMm: number,
): { accelerationMps2: number; errorDeg: number } {
  const omega = rateDegPerS * RAD;
  const accelerationMps2 = (omega * omega * offsetMm) / 1000;
  return { accelerationMps2, errorDeg: Math.atan(accelerationMps2 / G_MPS2) / RAD };
}
