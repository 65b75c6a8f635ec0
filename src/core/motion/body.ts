import { G_MPS2 } from '../level';
import { D, E, N, P, Q, Q0, Q1, Q2, Q3, R, U, V, W } from './state';

/** Mass in kilograms, moments of inertia about the body axes in kg·m²; products of inertia are left out. */
export interface Inertia {
  massKg: number;
  ixx: number;
  iyy: number;
  izz: number;
}

/**
 * A rigid body under a force (N) and a moment (N·m) in body axes, and gravity: fills all of the derivative but what
 * is not the body's. Newton and Euler in rotating axes; the quaternion is kept at unit length by its own error.
 */
export function rigidBody(
  { massKg, ixx, iyy, izz }: Inertia,
  y: Float64Array,
  force: Float64Array,
  moment: Float64Array,
  out: Float64Array,
): void {
  const a = y[Q0]!;
  const b = y[Q1]!;
  const c = y[Q2]!;
  const d = y[Q3]!;
  const u = y[U]!;
  const v = y[V]!;
  const w = y[W]!;
  const p = y[P]!;
  const q = y[Q]!;
  const r = y[R]!;
  const r11 = 1 - 2 * (c * c + d * d);
  const r12 = 2 * (b * c - a * d);
  const r13 = 2 * (b * d + a * c);
  const r21 = 2 * (b * c + a * d);
  const r22 = 1 - 2 * (b * b + d * d);
  const r23 = 2 * (c * d - a * b);
  const r31 = 2 * (b * d - a * c);
  const r32 = 2 * (c * d + a * b);
  const r33 = 1 - 2 * (b * b + c * c);
  out[N] = r11 * u + r12 * v + r13 * w;
  out[E] = r21 * u + r22 * v + r23 * w;
  out[D] = r31 * u + r32 * v + r33 * w;
  out[U] = force[0]! / massKg + G_MPS2 * r31 + r * v - q * w;
  out[V] = force[1]! / massKg + G_MPS2 * r32 + p * w - r * u;
  out[W] = force[2]! / massKg + G_MPS2 * r33 + q * u - p * v;
  const error = 1 - (a * a + b * b + c * c + d * d);
  out[Q0] = 0.5 * (-b * p - c * q - d * r) + error * a;
  out[Q1] = 0.5 * (a * p + c * r - d * q) + error * b;
  out[Q2] = 0.5 * (a * q + d * p - b * r) + error * c;
  out[Q3] = 0.5 * (a * r + b * q - c * p) + error * d;
  out[P] = (moment[0]! + (iyy - izz) * q * r) / ixx;
  out[Q] = (moment[1]! + (izz - ixx) * r * p) / iyy;
  out[R] = (moment[2]! + (ixx - iyy) * p * q) / izz;
}
