import fc from 'fast-check';
import { Matrix, solve } from 'ml-matrix';
import { Matrix4, Quaternion, Vector3 as ThreeVector3 } from 'three';
import { describe, expect, it } from 'vitest';
import {
  FACES,
  LEARN_LIMIT_DEG,
  UP,
  faceOf,
  faceProblem,
  learnByGravity,
  learnByTurning,
  orderProblems,
  readSixFace,
  simulateSixFace,
  sixFace,
} from '@/core/calibration';
import { mountingChoices, nearestMounting, seatReport } from '@/core/mounting';
import { UNITS } from '@/core/catalogue';
import { MOUNTINGS } from '@/core/setup';
import { eulerMatrix, mountingMatrix, multiply, type Vector3 } from '@/core/space';
import { makeSetup } from '../kit/setups';

const near = (low: number, high: number) => fc.double({ min: low, max: high, noNaN: true });
const three = (low: number, high: number) =>
  fc.tuple(near(low, high), near(low, high), near(low, high));

/** Six-position static test, IEEE Std 1293; solved again by a general library's least squares. */
describe('six-face calibration', () => {
  it('gives back the scale and bias of any sensor', () => {
    fc.assert(
      fc.property(three(0.9, 1.1), three(-0.1, 0.1), (scale, bias) => {
        const found = sixFace(simulateSixFace(scale, bias));
        scale.forEach((s, i) => expect(found.scale[i]).toBeCloseTo(s, 9));
        bias.forEach((b, i) => expect(found.biasG[i]).toBeCloseTo(b, 9));
        expect(found.residualG).toBeLessThan(1e-9);
      }),
    );
  });
  it('agrees with least squares over all six readings, noisy ones too', () => {
    fc.assert(
      fc.property(
        three(0.9, 1.1),
        three(-0.1, 0.1),
        fc.array(three(-0.02, 0.02), { minLength: 6, maxLength: 6 }),
        (scale, bias, noise) => {
          const readings = simulateSixFace(scale, bias).map(
            (r, i) => r.map((v, k) => v + noise[i]![k]!) as unknown as Vector3,
          );
          const found = sixFace(readings);
          for (const axis of [0, 1, 2]) {
            // reading = scale × true + bias, on the two faces that carry the axis.
            const rows = FACES.map((face, i) => [UP[face][axis]!, 1, readings[i]![axis]!]).filter(
              ([g]) => g !== 0,
            );
            const answer = solve(
              new Matrix(rows.map(([g, one]) => [g!, one!])),
              Matrix.columnVector(rows.map((r) => r[2]!)),
            );
            expect(found.scale[axis]).toBeCloseTo(answer.get(0, 0), 9);
            expect(found.biasG[axis]).toBeCloseTo(answer.get(1, 0), 9);
          }
        },
      ),
    );
  });
  it('names every face shown for another, and why the step waits', () => {
    const perfect = simulateSixFace([1, 1, 1], [0, 0, 0]);
    FACES.forEach((face, i) => {
      expect(faceOf(perfect[i]!)).toEqual({ face, offDeg: 0 });
      FACES.forEach((other, k) => {
        const problem = faceProblem(other, perfect[i]!);
        if (i === k) expect(problem).toBeUndefined();
        else expect(problem).toContain('the unit waits for it');
      });
    });
    expect(faceProblem('arrow-end', perfect[FACES.indexOf('far-end')]!)).toContain('end for end');
    expect(orderProblems(perfect)).toEqual([]);
    const [a, b, ...rest] = perfect;
    expect(orderProblems([b!, a!, ...rest]).map((p) => p.face)).toEqual(['label', 'underside']);
  });
  it('does not take a moving or a leaning unit', () => {
    expect(faceProblem('label', [0.3, 0.2, -1.6])).toContain('moving');
    expect(faceProblem('label', [0.6, 0, -0.8])).toContain('leans 37°');
  });
  it.each([
    ['1 2\n', 1],
    ['0 0 1\n0 0 x', 2],
    ['0 0 1\n0 0 1', 2],
    ['', 0],
    ['0,0,99', 1],
  ])('refuses %j with the line', (text, line) => {
    expect(readSixFace(text)).toMatchObject({ ok: false, line });
  });
  it('never throws on rubbish', () => {
    fc.assert(fc.property(fc.string(), (text) => void readSixFace(text)));
  });
});

describe('the nearest of the 24', () => {
  it('agrees with the smallest quaternion angle of a general library', () => {
    fc.assert(
      fc.property(near(-180, 180), near(-90, 90), near(-180, 180), (roll, pitch, yaw) => {
        const free = multiply(eulerMatrix(roll, pitch, yaw), mountingMatrix('nose-up'));
        const quaternion = (m: readonly number[]) =>
          new Quaternion().setFromRotationMatrix(
            new Matrix4().set(
              ...([m[0], m[1], m[2], 0, m[3], m[4], m[5], 0, m[6], m[7], m[8], 0, 0, 0, 0, 1] as [
                number,
                number,
                number,
                number,
                number,
                number,
                number,
                number,
                number,
                number,
                number,
                number,
                number,
                number,
                number,
                number,
              ]),
            ),
          );
        const own = quaternion(free);
        const best = Math.min(...MOUNTINGS.map((m) => own.angleTo(quaternion(mountingMatrix(m)))));
        expect(nearestMounting(free).offDeg).toBeCloseTo((best * 180) / Math.PI, 4);
      }),
    );
  });
  it('gives a reason for each that a unit cannot have', () => {
    for (const unit of Object.values(UNITS)) {
      const choices = mountingChoices(unit.traits);
      expect(choices).toHaveLength(24);
      expect(
        choices
          .filter((c) => !c.refused)
          .map((c) => c.mounting)
          .sort(),
      ).toEqual([...unit.traits.orientations].sort());
    }
    const flat = mountingChoices(UNITS['switch-receiver']!.traits);
    expect(flat.find((c) => c.mounting === 'tail-up')!.refused).toContain('only to the nose');
    expect(flat.find((c) => c.mounting === 'nose-left')!.refused).toContain('up or down');
  });
});

/** 15° works, 30–40° does not: common practice, no source. */
describe('learned orientation', () => {
  it.each(MOUNTINGS)('%s is found from level and nose down, up to 15° short', (mounting) => {
    for (const short of [0, 10, 15, -15])
      expect(learnByGravity(mounting, 0, short).mounting, `${short}`).toBe(mounting);
    for (const short of [30, 35, 40])
      expect(learnByGravity(mounting, 0, short).mounting, `${short}`).toBeUndefined();
    expect(learnByGravity(mounting, 0, 35).says).toContain('35°');
  });
  it.each(MOUNTINGS)('%s is found from a lifted tail and a yaw to the right', (mounting) => {
    for (const askew of [0, 15, -15])
      expect(learnByTurning(mounting, askew).mounting).toBe(mounting);
    expect(learnByTurning(mounting, 35).mounting).toBeUndefined();
  });
  it('standing nose-low in the first look eats into what the second may be off', () => {
    expect(learnByGravity('nose-up', -12, 10).offDeg).toBeCloseTo(22);
    expect(learnByGravity('nose-up', -12, 15).mounting).toBeUndefined();
    expect(learnByGravity('nose-up', -12, 2).mounting).toBe('nose-up');
    expect(LEARN_LIMIT_DEG).toBe(15);
  });
});

describe('where the unit sits', () => {
  it('ω²·r: 180°/s at 0.10 m is 0.987 m/s² (rigid-body kinematics)', () => {
    const setup = makeSetup();
    setup.installation.positionMm = { x: 0, y: 100, z: 0 };
    const [roll] = seatReport(setup).figures;
    expect(roll!.accelerationMps2).toBeCloseTo(0.987, 3);
    // The same from the vector formula ω × (ω × r).
    const w = new ThreeVector3(Math.PI, 0, 0);
    const a = w.clone().cross(w.clone().cross(new ThreeVector3(0, 0.1, 0)));
    expect(roll!.accelerationMps2).toBeCloseTo(a.length(), 9);
  });
  it('5° of skew leaks 0.0872 (geometry)', () => {
    const setup = makeSetup();
    setup.installation.skewDeg.yaw = 5;
    expect(seatReport(setup).leak[0]!.share).toBeCloseTo(0.0872, 4);
  });
  it('matters only to a unit that levels', () => {
    const damps = makeSetup('conventional', 'dial-gyro');
    const setup = makeSetup();
    setup.installation.positionMm = damps.installation.positionMm = { x: 0, y: 400, z: 0 };
    expect(seatReport(setup).matters).toBe(true);
    expect(seatReport(damps).matters).toBe(false);
  });
});
