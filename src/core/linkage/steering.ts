import type { Steering } from './schema';
import { hornDeg } from './linkage';

const RAD = Math.PI / 180;

/** Angles of the two front wheels, degrees, left positive; NaN where a rod cannot reach. */
export interface WheelAngles {
  left: number;
  right: number;
}

/** How far the inner balls have gone: across the car towards a left turn, and along it. */
function innerShift(s: Steering, servoDeg: number): { across: number; along: number } {
  const swing = (armMm: number, deg: number) => ({
    across: armMm * Math.sin(deg * RAD),
    along: armMm * (1 - Math.cos(deg * RAD)),
  });
  switch (s.by) {
    case 'arm':
      return swing(s.armMm, servoDeg);
    case 'bell-crank':
      return swing(
        s.crankOutMm,
        hornDeg(
          {
            armMm: s.armMm,
            hornMm: s.crankInMm,
            rodMm: s.linkMm,
            armOffsetDeg: 0,
            hornOffsetDeg: 0,
          },
          servoDeg,
        ),
      );
    case 'rack': {
      // The rack's pin runs square to the arm at centre; the link's length is what stays.
      const arm = swing(s.armMm, servoDeg);
      return {
        across: arm.across + Math.sqrt(s.linkMm ** 2 - arm.along ** 2) - s.linkMm,
        along: 0,
      };
    }
  }
}

interface Point {
  x: number;
  y: number;
}

/** One side of the steering: where its kingpin and balls are, and what its wheel does. */
interface SteeringSide {
  kingpin: Point;
  /** The ball the servo moves. */
  innerAt(servoDeg: number): Point;
  /** The ball on the knuckle, for an angle of the wheel. */
  ballAt(wheelDeg: number): Point;
  wheelAt(servoDeg: number): number;
}

/**
 * The steering as a plane mechanism, seen from above: x forward, y to the right, kingpins at
 * (0, ±kingpin/2). Each tie rod keeps its length between its inner ball, moved by the servo, and the
 * ball on the knuckle: |K + n·R(δ)u − P| = ℓ, which is A·cos δ + B·sin δ = c for the wheel's angle.
 * The rods are as long as straight ahead with the toe asks for.
 * @param right 1 the right side, −1 the left
 */
function sideOf(s: Steering, right: 1 | -1): SteeringSide {
  const back = s.knuckles === 'behind' ? 1 : -1;
  const kingpin = { x: 0, y: (right * s.kingpinMm) / 2 };
  const lean = s.knuckleDeg * RAD;
  const u = { x: -back * Math.cos(lean), y: -right * Math.sin(lean) };
  const innerAt = (servoDeg: number) => {
    const { across, along } = innerShift(s, servoDeg);
    return {
      x: s.knuckleMm * u.x + s.aheadMm + back * along,
      y: (right * s.innerMm) / 2 + back * across,
    };
  };
  const ballAt = (wheelDeg: number) => {
    const turn = wheelDeg * RAD;
    return {
      x: kingpin.x + s.knuckleMm * (u.x * Math.cos(turn) + u.y * Math.sin(turn)),
      y: kingpin.y + s.knuckleMm * (u.y * Math.cos(turn) - u.x * Math.sin(turn)),
    };
  };
  const toeDeg = right * s.toeDeg;
  const ball = ballAt(toeDeg);
  const rest = innerAt(0);
  const rodSquared = (ball.x - rest.x) ** 2 + (ball.y - rest.y) ** 2;
  const parts = (servoDeg: number) => {
    const p = innerAt(servoDeg);
    const d = { x: p.x - kingpin.x, y: p.y - kingpin.y };
    return {
      middle: Math.atan2(u.y * d.x - u.x * d.y, u.x * d.x + u.y * d.y),
      half: Math.acos(
        (s.knuckleMm ** 2 + d.x ** 2 + d.y ** 2 - rodSquared) /
          (2 * s.knuckleMm * Math.hypot(d.x, d.y)),
      ),
    };
  };
  const wrapped = (angle: number) => Math.atan2(Math.sin(angle), Math.cos(angle));
  // Of the two ways to close it the linkage stays on the one it was built on.
  const branch = Math.sign(wrapped(toeDeg * RAD - parts(0).middle)) || 1;
  return {
    kingpin,
    innerAt,
    ballAt,
    wheelAt(servoDeg) {
      const { middle, half } = parts(servoDeg);
      return wrapped(middle + branch * half) / RAD;
    },
  };
}

/** The steering worked out once. @returns wheel angles for a servo angle, both positive to the left */
export function compileSteering(s: Steering): (servoDeg: number) => WheelAngles {
  const [left, right] = [sideOf(s, -1), sideOf(s, 1)];
  return (servoDeg) => ({ left: left.wheelAt(servoDeg), right: right.wheelAt(servoDeg) });
}

/** Where everything of one side is for a servo angle, mm, x forward and y to the right; for a drawing. */
export interface SideJoints {
  kingpin: Point;
  ball: Point;
  inner: Point;
  wheelDeg: number;
}

/** Both sides, left then right. */
export const steeringJoints = (s: Steering, servoDeg: number): [SideJoints, SideJoints] => {
  const jointsOf = (right: 1 | -1): SideJoints => {
    const side = sideOf(s, right);
    const wheelDeg = side.wheelAt(servoDeg);
    return {
      kingpin: side.kingpin,
      ball: side.ballAt(wheelDeg),
      inner: side.innerAt(servoDeg),
      wheelDeg,
    };
  };
  return [jointsOf(-1), jointsOf(1)];
};

/**
 * Servo angle at which the steering meets its stop: the inner wheel at its lock.
 * @param most how far the servo can turn @param to −1 right, 1 left
 * @returns undefined where the servo does not get that far
 */
export function lockServoDeg(s: Steering, most: number, to: 1 | -1): number | undefined {
  const at = compileSteering(s);
  const inner = (deg: number) => (to > 0 ? at(deg).left : -at(-deg).right);
  const lock = to > 0 ? s.lockLeftDeg : s.lockRightDeg;
  let low = 0;
  for (let deg = 0; deg <= most + 1e-9; deg += 0.5) {
    const now = inner(deg);
    if (Number.isNaN(now)) return undefined;
    if (now >= lock) {
      let [a, b] = [low, deg];
      for (let i = 0; i < 40; i++) {
        const middle = (a + b) / 2;
        if (inner(middle) < lock) a = middle;
        else b = middle;
      }
      return to * b;
    }
    low = deg;
  }
  return undefined;
}

/** Further than any servo turns. */
const ANY_DEG = 120;

/** Where the steering is for a servo sent anywhere: at its stop it stays, whatever the servo is sent to. */
export function compileStops(s: Steering): (servoDeg: number) => number {
  const most = lockServoDeg(s, ANY_DEG, 1) ?? ANY_DEG;
  const least = lockServoDeg(s, ANY_DEG, -1) ?? -ANY_DEG;
  return (servoDeg) => (servoDeg > most ? most : servoDeg < least ? least : servoDeg);
}

/** What the arm that carries the inner balls turns about, steering straight; a rack has no such place. */
export function carrierPivot(s: Steering): Point | undefined {
  if (s.by === 'rack') return undefined;
  const [left, right] = steeringJoints(s, 0);
  const back = s.knuckles === 'behind' ? 1 : -1;
  return {
    x: left.inner.x + back * (s.by === 'arm' ? s.armMm : s.crankOutMm),
    y: (left.inner.y + right.inner.y) / 2,
  };
}

/**
 * Angle of the outer wheel at which both roll round one point on the line of the rear axle:
 * cot δo − cot δi = track/wheelbase (Ackermann; Gillespie, Fundamentals of Vehicle Dynamics).
 * @param innerDeg over 0
 */
export const ackermannOuterDeg = (innerDeg: number, trackMm: number, wheelbaseMm: number): number =>
  Math.atan(1 / (1 / Math.tan(innerDeg * RAD) + trackMm / wheelbaseMm)) / RAD;

/** The outer wheel for a few angles of the inner one, turned left, up to the stop. */
export function ackermannRows(s: Steering): { innerDeg: number; outerDeg: number }[] {
  const at = compileSteering(s);
  const lock = lockServoDeg(s, 90, 1);
  if (lock === undefined) return [];
  return [10, 20, 30, s.lockLeftDeg]
    .filter((deg, i, all) => deg <= s.lockLeftDeg && all.indexOf(deg) === i)
    .map((innerDeg) => ({
      innerDeg,
      outerDeg: at(lockServoDeg({ ...s, lockLeftDeg: innerDeg }, lock + 1, 1)!).right,
    }));
}
