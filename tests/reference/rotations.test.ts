import { Matrix3 as ThreeMatrix3, Matrix4, Euler, Quaternion, Vector3 } from 'three';
import { describe, expect, it } from 'vitest';
import {
  apply,
  eulerMatrix,
  mountingMatrix,
  multiply,
  transpose,
  type Matrix3,
} from '@/core/space';
import { MOUNTINGS } from '@/core/setup';
import { beliefMatrix } from '@/core/chain';
import { buildAirframe, TRANSMITTERS, UNITS, usualAnswers } from '@/core/catalogue';
import { composeSetup } from '@/core/plan';

const three = (m: Matrix3) => new ThreeMatrix3().set(...m);
const key = (m: Matrix3) => m.map((v) => Math.round(v)).join();

/** Chiral octahedral group, compared with the matrices of a general 3D library. */
describe('mountings', () => {
  const all = MOUNTINGS.map(mountingMatrix);
  it('are 24 different proper rotations', () => {
    expect(new Set(all.map(key)).size).toBe(24);
    for (const m of all) expect(three(m).determinant()).toBeCloseTo(1);
  });
  it('are closed under composition and inverse', () => {
    const known = new Set(all.map(key));
    for (const a of all) {
      expect(known.has(key(transpose(a)))).toBe(true);
      for (const b of all) expect(known.has(key(multiply(a, b)))).toBe(true);
    }
  });
  it('never turn round one axis alone', () => {
    for (const m of all) {
      const signs = [m[0], m[4], m[8]].map(Math.round);
      if (signs.every((s) => s !== 0)) expect(signs.filter((s) => s < 0).length % 2).toBe(0);
    }
  });
});

describe('Euler angles (ISO 1151-1 order)', () => {
  it.each([
    [10, 0, 0],
    [0, 20, 0],
    [0, 0, 30],
    [35, -20, 110],
    [-170, 60, -45],
  ])('%d %d %d', (r, p, y) => {
    const rad = Math.PI / 180;
    const q = new Quaternion().setFromEuler(new Euler(r * rad, p * rad, y * rad, 'ZYX'));
    const reference = new Matrix4().makeRotationFromQuaternion(q);
    const v = new Vector3(0.3, -1.2, 2.1);
    const ours = apply(eulerMatrix(r, p, y), [v.x, v.y, v.z]);
    const theirs = v.applyMatrix4(reference);
    [theirs.x, theirs.y, theirs.z].forEach((value, i) => expect(ours[i]).toBeCloseTo(value, 9));
  });
});

describe('skew about the vertical axis leaks sin ψ (geometry)', () => {
  const setup = composeSetup(
    'T',
    buildAirframe(usualAnswers('conventional')),
    UNITS['menu-receiver']!,
    TRANSMITTERS['line-sixteen']!,
  );
  it.each([
    [5, 0.0872],
    [10, 0.1736],
    [90, 1],
  ])('%d° → %d', (deg, leak) => {
    setup.installation.skewDeg.yaw = deg;
    const [, pitch] = apply(beliefMatrix(setup), [1, 0, 0]);
    expect(Math.abs(pitch)).toBeCloseTo(leak, 4);
  });
});
