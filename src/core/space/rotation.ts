import type { Mounting } from '../setup';

/** Row-major 3×3 matrix. */
export type Matrix3 = readonly [
  number,
  number,
  number,
  number,
  number,
  number,
  number,
  number,
  number,
];
export type Vector3 = readonly [number, number, number];

export function multiply(a: Matrix3, b: Matrix3): Matrix3 {
  const at = (r: number, c: number) =>
    a[r * 3]! * b[c]! + a[r * 3 + 1]! * b[3 + c]! + a[r * 3 + 2]! * b[6 + c]!;
  return [at(0, 0), at(0, 1), at(0, 2), at(1, 0), at(1, 1), at(1, 2), at(2, 0), at(2, 1), at(2, 2)];
}

export function transpose(m: Matrix3): Matrix3 {
  return [m[0], m[3], m[6], m[1], m[4], m[7], m[2], m[5], m[8]];
}

export function apply(m: Matrix3, v: Vector3): Vector3 {
  return [
    m[0] * v[0] + m[1] * v[1] + m[2] * v[2],
    m[3] * v[0] + m[4] * v[1] + m[5] * v[2],
    m[6] * v[0] + m[7] * v[1] + m[8] * v[2],
  ];
}

export function cross(a: Vector3, b: Vector3): Vector3 {
  return [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]];
}

/** Directions of the model in body axes, x forward, y right, z down (ISO 1151-1). */
const DIRECTION: Readonly<Record<string, Vector3>> = {
  nose: [1, 0, 0],
  tail: [-1, 0, 0],
  right: [0, 1, 0],
  left: [0, -1, 0],
  down: [0, 0, 1],
  up: [0, 0, -1],
};

/**
 * Rotation from the unit's own axes (x along the arrow, z out of its underside) to body axes.
 * @param mounting where the arrow points, then where the label faces, e.g. 'tail-up'
 */
export function mountingMatrix(mounting: Mounting): Matrix3 {
  const [arrow, label] = mounting.split('-') as [string, string];
  const x = DIRECTION[arrow]!;
  const up = DIRECTION[label]!;
  const z: Vector3 = [-up[0], -up[1], -up[2]];
  const y = cross(z, x);
  return [x[0], y[0], z[0], x[1], y[1], z[1], x[2], y[2], z[2]];
}

/** Rz(yaw)·Ry(pitch)·Rx(roll), angles in degrees, the aircraft order of ISO 1151-1. */
export function eulerMatrix(rollDeg: number, pitchDeg: number, yawDeg: number): Matrix3 {
  const [cr, sr] = cosSin(rollDeg);
  const [cp, sp] = cosSin(pitchDeg);
  const [cy, sy] = cosSin(yawDeg);
  return [
    cy * cp,
    cy * sp * sr - sy * cr,
    cy * sp * cr + sy * sr,
    sy * cp,
    sy * sp * sr + cy * cr,
    sy * sp * cr - cy * sr,
    -sp,
    cp * sr,
    cp * cr,
  ];
}

function cosSin(deg: number): [number, number] {
  const rad = (deg * Math.PI) / 180;
  return [Math.cos(rad), Math.sin(rad)];
}
