/**
 * What flies, in one array: place in north-east-down earth axes (m), velocity in ISO 1151-1 body axes (m/s),
 * attitude as a unit quaternion from body to earth, body rates (rad/s), downwash at the tail (rad).
 */
export const N = 0;
export const E = 1;
export const D = 2;
export const U = 3;
export const V = 4;
export const W = 5;
export const Q0 = 6;
export const Q1 = 7;
export const Q2 = 8;
export const Q3 = 9;
export const P = 10;
export const Q = 11;
export const R = 12;
export const WASH = 13;
export const STATES = 14;

export const RAD = Math.PI / 180;

export interface Attitude {
  rollDeg: number;
  pitchDeg: number;
  headingDeg: number;
}

/** Writes an attitude, given as heading, pitch, bank in that order (ISO 1151-1), into a state. */
export function setAttitude(y: Float64Array, { rollDeg, pitchDeg, headingDeg }: Attitude): void {
  const [cr, sr] = [Math.cos((rollDeg * RAD) / 2), Math.sin((rollDeg * RAD) / 2)];
  const [cp, sp] = [Math.cos((pitchDeg * RAD) / 2), Math.sin((pitchDeg * RAD) / 2)];
  const [ch, sh] = [Math.cos((headingDeg * RAD) / 2), Math.sin((headingDeg * RAD) / 2)];
  y[Q0] = cr * cp * ch + sr * sp * sh;
  y[Q1] = sr * cp * ch - cr * sp * sh;
  y[Q2] = cr * sp * ch + sr * cp * sh;
  y[Q3] = cr * cp * sh - sr * sp * ch;
}

/** Reads bank (−180…180), pitch (−90…90) and heading out of a state, without making anything. */
export function readAttitude(y: Float64Array, out: Attitude): void {
  const a = y[Q0]!;
  const b = y[Q1]!;
  const c = y[Q2]!;
  const d = y[Q3]!;
  const down = 2 * (b * d - a * c);
  out.rollDeg = Math.atan2(2 * (a * b + c * d), 1 - 2 * (b * b + c * c)) / RAD;
  out.pitchDeg = -Math.asin(down > 1 ? 1 : down < -1 ? -1 : down) / RAD;
  out.headingDeg = Math.atan2(2 * (a * d + b * c), 1 - 2 * (c * c + d * d)) / RAD;
}

/** Air or speed over the ground, in earth axes, as the body feels it: the transpose of body to earth. */
export function toBody(y: Float64Array, earth: Float64Array, out: Float64Array): void {
  const a = y[Q0]!;
  const b = y[Q1]!;
  const c = y[Q2]!;
  const d = y[Q3]!;
  const n = earth[0]!;
  const e = earth[1]!;
  const z = earth[2]!;
  out[0] = (1 - 2 * (c * c + d * d)) * n + 2 * (b * c + a * d) * e + 2 * (b * d - a * c) * z;
  out[1] = 2 * (b * c - a * d) * n + (1 - 2 * (b * b + d * d)) * e + 2 * (c * d + a * b) * z;
  out[2] = 2 * (b * d + a * c) * n + 2 * (c * d - a * b) * e + (1 - 2 * (b * b + c * c)) * z;
}

/** Speed towards the ground, m/s. */
export function sinkOf(y: Float64Array): number {
  const a = y[Q0]!;
  const b = y[Q1]!;
  const c = y[Q2]!;
  const d = y[Q3]!;
  return (
    2 * (b * d - a * c) * y[U]! + 2 * (c * d + a * b) * y[V]! + (1 - 2 * (b * b + c * c)) * y[W]!
  );
}

/** The short way between two headings or banks, −180…180. */
export const shortWay = (deg: number): number =>
  deg > 180 ? deg - 360 : deg < -180 ? deg + 360 : deg;

export const attitudeOf = (y: Float64Array): Attitude => {
  const out = { rollDeg: 0, pitchDeg: 0, headingDeg: 0 };
  readAttitude(y, out);
  return out;
};
