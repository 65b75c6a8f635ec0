import { describe, expect, it } from 'vitest';
import { randomOf } from '../../../tests/kit/random-program';
import { USUAL_STEERING } from '../catalogue';
import type { Steering } from '../setup';
import { ackermannOuterDeg, compileSteering, lockServoDeg } from './steering';

const RAD = Math.PI / 180;

/** Ball positions written out again and the rod's length closed by bisection: no formula shared. */
function wheelByBisection(s: Steering, servoDeg: number, right: 1 | -1): number {
  const back = s.knuckles === 'behind' ? 1 : -1;
  const rotate = ([x, y]: [number, number], deg: number): [number, number] => {
    const a = deg * RAD;
    return [x * Math.cos(a) + y * Math.sin(a), -x * Math.sin(a) + y * Math.cos(a)];
  };
  const arm: [number, number] = [
    -back * s.knuckleMm * Math.cos(s.knuckleDeg * RAD),
    -right * s.knuckleMm * Math.sin(s.knuckleDeg * RAD),
  ];
  const ball = (deg: number): [number, number] => {
    const [x, y] = rotate(arm, deg);
    return [x, y + (right * s.kingpinMm) / 2];
  };
  const inner = (deg: number): [number, number] => {
    const crank = s.by === 'bell-crank' ? crankByBisection(s, deg) : deg;
    const length = s.by === 'bell-crank' ? s.crankOutMm : s.armMm;
    let across = length * Math.sin(crank * RAD);
    let along = length - length * Math.cos(crank * RAD);
    if (s.by === 'rack') {
      // The pin of the rack, found where the link is as long as it is.
      let [a, b] = [-400, 400];
      for (let i = 0; i < 80; i++) {
        const y = (a + b) / 2;
        if (y + s.linkMm - across < Math.sqrt(s.linkMm ** 2 - along ** 2)) a = y;
        else b = y;
      }
      across = a;
      along = 0;
    }
    return [arm[0] + s.aheadMm + back * along, (right * s.innerMm) / 2 + back * across];
  };
  const length = ([x, y]: [number, number], [p, q]: [number, number]) => Math.hypot(x - p, y - q);
  const rod = length(ball(right * s.toeDeg), inner(0));
  // Followed in small steps from where it was built, so that it stays on its branch.
  let now = right * s.toeDeg;
  const steps = 60;
  for (let k = 1; k <= steps; k++) {
    const p = inner((servoDeg * k) / steps);
    const error = (deg: number) => length(ball(deg), p) - rod;
    let best = now;
    let [a, b] = [now - 4, now + 4];
    if (error(a) * error(b) > 0) return NaN;
    for (let i = 0; i < 60; i++) {
      best = (a + b) / 2;
      if (error(a) * error(best) <= 0) b = best;
      else a = best;
    }
    now = best;
  }
  return now;
}

function crankByBisection(s: Steering, servoDeg: number): number {
  // Arm and crank side by side, the link between them square to both at centre.
  const end = [s.armMm * Math.sin(servoDeg * RAD), s.armMm * Math.cos(servoDeg * RAD)] as const;
  const pivot = [s.linkMm, s.armMm - s.crankInMm] as const;
  const error = (deg: number) =>
    Math.hypot(
      pivot[0] + s.crankInMm * Math.sin(deg * RAD) - end[0],
      pivot[1] + s.crankInMm * Math.cos(deg * RAD) - end[1],
    ) - s.linkMm;
  let [a, b] = [-89, 89];
  for (let i = 0; i < 70; i++) {
    const middle = (a + b) / 2;
    if (error(middle) < 0) a = middle;
    else b = middle;
  }
  return a;
}

describe('the steering', () => {
  it('agrees with a solution that shares no formula, over 500 random steerings, to 0.1°', () => {
    const next = randomOf(20261126);
    const between = (a: number, b: number) => a + (b - a) * next();
    let looked = 0;
    while (looked < 500) {
      const kingpinMm = between(100, 180);
      const s: Steering = {
        ...USUAL_STEERING,
        by: (['arm', 'bell-crank', 'rack'] as const)[Math.floor(next() * 3)]!,
        armMm: between(12, 22),
        linkMm: between(30, 70),
        crankInMm: between(15, 22),
        crankOutMm: between(12, 24),
        kingpinMm,
        innerMm: between(0, 0.5) * kingpinMm,
        aheadMm: between(-4, 4),
        knuckleMm: between(16, 26),
        knuckles: next() < 0.5 ? 'behind' : 'ahead',
        knuckleDeg: between(-15, 25),
        toeDeg: between(-1, 2),
      };
      const at = compileSteering(s);
      const deg = between(-40, 40);
      const [left, right] = [wheelByBisection(s, deg, -1), wheelByBisection(s, deg, 1)];
      const got = at(deg);
      if (Number.isNaN(left + right + got.left + got.right)) continue;
      expect(Math.abs(got.left - left), JSON.stringify({ s, deg })).toBeLessThan(0.1);
      expect(Math.abs(got.right - right), JSON.stringify({ s, deg })).toBeLessThan(0.1);
      looked++;
    }
  });
  it('turns left for a positive servo angle, the same either way, with the toe at rest', () => {
    for (const by of ['arm', 'bell-crank', 'rack'] as const)
      for (const knuckles of ['behind', 'ahead'] as const) {
        const at = compileSteering({ ...USUAL_STEERING, by, knuckles, toeDeg: 1 });
        expect(at(0).left).toBeCloseTo(-1, 6);
        expect(at(0).right).toBeCloseTo(1, 6);
        expect(at(15).left).toBeGreaterThan(3);
        expect(at(15).right).toBeGreaterThan(3);
        if (by === 'arm') expect(at(-15).left).toBeCloseTo(-at(15).right, 6);
      }
  });
  it.each([
    [10, 165, 260, 9.01],
    [20, 165, 260, 16.47],
    [30, 165, 260, 22.9],
    [40, 300, 260, 23.09],
  ])('at %i° inside, track %i on wheelbase %i: %f° outside', (inner, track, base, outer) =>
    expect(ackermannOuterDeg(inner, track, base)).toBeCloseTo(outer, 1),
  );
  it('finds the servo angle of the lock, the inner wheel there exactly; nothing where the servo ends before', () => {
    const at = compileSteering(USUAL_STEERING);
    const left = lockServoDeg(USUAL_STEERING, 60, 1)!;
    const right = lockServoDeg(USUAL_STEERING, 60, -1)!;
    expect(at(left).left).toBeCloseTo(USUAL_STEERING.lockLeftDeg, 4);
    expect(at(right).right).toBeCloseTo(-USUAL_STEERING.lockRightDeg, 4);
    expect(lockServoDeg(USUAL_STEERING, 5, 1)).toBeUndefined();
  });
});
