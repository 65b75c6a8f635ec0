import { describe, expect, it } from 'vitest';
import { CENTRAL, linearized, polesOf, type Pole } from '@/core/motion';
import { AIR_KG_M3 } from '@/core/motion/air';
import { G_MPS2 } from '@/core/level';
import { rigidBody } from '@/core/motion/body';
import { flapOf, helmbold } from '@/core/motion/estimates';
import type { Derivative } from '@/core/motion/rk4';
import { P, Q, R, STATES, U, V, W, WASH, setAttitude } from '@/core/motion/state';
import { restingControls, trimmed } from '@/core/motion/trim';
import type { AirframeKind, Setup } from '@/core/setup';
import { FLYING_KINDS, makeSetup } from '../kit/setups';

const FOOT = 0.3048;
const SLUG = 14.593903;
const POUND_FORCE = 4.4482216;

/**
 * The general-aviation aeroplane of Nelson, Flight Stability and Automatic Control, appendix B (figures from memory,
 * recomputed), as a vehicle: derivatives held in stability axes at its trim, thrust constant, α̇ from the forces first.
 */
function published(): { derivative: Derivative; y: Float64Array } {
  const speed = 176 * FOOT;
  const [area, span, chord] = [184 * FOOT ** 2, 33.4 * FOOT, 5.7 * FOOT];
  const density = (0.002378 * SLUG) / FOOT ** 3;
  const inertia = {
    massKg: (2750 * POUND_FORCE) / G_MPS2,
    ixx: 1048 * SLUG * FOOT ** 2,
    iyy: 3000 * SLUG * FOOT ** 2,
    izz: 3530 * SLUG * FOOT ** 2,
  };
  // Lift carries it and thrust its drag, to the last digit.
  const lift = (inertia.massKg * G_MPS2) / (0.5 * density * speed * speed * area);
  const pull = 0.5 * density * speed * speed * area * 0.05;
  const derivative: Derivative = (y, out) => {
    const [u, v, w] = [y[U]!, y[V]!, y[W]!];
    const fast = Math.hypot(u, v, w);
    const alpha = Math.atan2(w, u);
    const beta = Math.asin(v / fast);
    const pressure = 0.5 * density * fast * fast * area;
    const [cl, cd] = [lift + 4.44 * alpha, 0.05 + 0.33 * alpha];
    const [sin, cos] = [Math.sin(alpha), Math.cos(alpha)];
    const force = Float64Array.of(
      pressure * (cl * sin - cd * cos) + pull,
      pressure * -0.564 * beta,
      -pressure * (cl * cos + cd * sin),
    );
    const moment = new Float64Array(3);
    rigidBody(inertia, y, force, moment, out);
    const turning = (out[W]! * u - out[U]! * w) / (u * u + w * w);
    const [p, q, r] = [y[P]!, y[Q]!, y[R]!];
    const [b2, c2] = [span / (2 * fast), chord / (2 * fast)];
    moment[0] = pressure * span * (-0.074 * beta - 0.41 * p * b2 + 0.107 * r * b2);
    moment[1] = pressure * chord * (-0.683 * alpha - 4.36 * turning * c2 - 9.96 * q * c2);
    moment[2] = pressure * span * (0.071 * beta - 0.0575 * p * b2 - 0.125 * r * b2);
    rigidBody(inertia, y, force, moment, out);
    out[WASH] = -100 * y[WASH]!;
  };
  const y = new Float64Array(STATES);
  y[U] = speed;
  setAttitude(y, { rollDeg: 0, pitchDeg: 0, headingDeg: 0 });
  return { derivative, y };
}

describe('a published aeroplane, flown by the same runner and differenced (Nelson, appendix B)', () => {
  const { derivative, y } = published();
  const poles = polesOf(linearized(derivative, y));
  const nearest = (to: Pole) =>
    poles.reduce((a, b) =>
      Math.hypot(a.re - to.re, a.im - to.im) <= Math.hypot(b.re - to.re, b.im - to.im) ? a : b,
    );
  it.each([
    ['roll', { re: -8.43, im: 0 }],
    ['Dutch roll', { re: -0.487, im: 2.347 }],
    ['spiral', { re: -0.0082, im: 0 }],
    ['short period', { re: -2.51, im: 2.59 }],
    ['phugoid', { re: -0.0171, im: 0.213 }],
  ])('%s', (_, wanted) => {
    const found = nearest(wanted);
    const off = Math.hypot(found.re - wanted.re, found.im - wanted.im);
    expect(off / Math.hypot(wanted.re, wanted.im)).toBeLessThan(0.01);
  });
});

/** How force and moment of a model's parts change with one number of its state, by differencing. */
function change(kind: AirframeKind, at: number, by: number) {
  const setup: Setup = makeSetup(kind);
  const flyable = trimmed(setup, CENTRAL);
  if (!flyable.ok) throw new Error(flyable.reason);
  const { vehicle } = flyable;
  const controls = restingControls(setup);
  const { cruiseMps } = setup.airframe.measures;
  const read = (way: number) => {
    const y = new Float64Array(STATES);
    y[U] = cruiseMps;
    setAttitude(y, { rollDeg: 0, pitchDeg: 0, headingDeg: 0 });
    y[at] = y[at]! + way * by;
    const [force, moment] = [new Float64Array(3), new Float64Array(3)];
    vehicle.forces(y, controls, force, moment);
    return { force, moment };
  };
  const [low, high] = [read(-1), read(1)];
  const pressure = 0.5 * AIR_KG_M3 * cruiseMps * cruiseMps * vehicle.wingM2;
  return {
    vehicle,
    setup,
    cruiseMps,
    pressure,
    force: (i: 0 | 1 | 2) => (high.force[i]! - low.force[i]!) / (2 * by),
    moment: (i: 0 | 1 | 2) => (high.moment[i]! - low.moment[i]!) / (2 * by),
  };
}

describe('strips against theory', () => {
  it.each(['conventional', 't-tail', 'flying-wing'] as const)(
    '%s: the lift slope of its wing is Helmbold’s within 12 %%',
    (kind) => {
      const { vehicle } = change(kind, W, 0.01);
      const wing = vehicle.strips.filter((s) => s.wing);
      const aspect = vehicle.spanM / vehicle.chordM;
      const slope =
        wing.reduce((sum, s) => sum + s.areaM2 * s.slope * s.alike * s.normal[2] ** 2, 0) /
        vehicle.wingM2;
      expect(slope / helmbold(aspect)).toBeGreaterThan(0.88);
      expect(slope / helmbold(aspect)).toBeLessThan(1.12);
    },
  );
  it('roll damping is that of lifting line, not the larger one of plain strips', () => {
    const { vehicle, moment, pressure, cruiseMps } = change('conventional', P, 0.1);
    const damping = (moment(0) / (pressure * vehicle.spanM)) * ((2 * cruiseMps) / vehicle.spanM);
    const aspect = vehicle.spanM / vehicle.chordM;
    // Loaded against each other: 2π·A/(A + 4); a rectangular wing, ∫ y² over its span: a/6.
    const line = -(2 * Math.PI * aspect) / (aspect + 4) / 6;
    const plain = -helmbold(aspect) / 6;
    expect(damping / line).toBeGreaterThan(0.85);
    expect(damping / line).toBeLessThan(1.15);
    expect(Math.abs(damping)).toBeLessThan(Math.abs(plain));
  });
  it('pitch damping is that of its tail volume: Cmq = −2·η·a·V·l/c, and a little of the wing', () => {
    const { vehicle, moment, pressure, cruiseMps } = change('conventional', Q, 0.1);
    const damping = (moment(1) / (pressure * vehicle.chordM)) * ((2 * cruiseMps) / vehicle.chordM);
    const tail = vehicle.strips.filter((s) => !s.wing && Math.abs(s.normal[2]) > 0.9);
    const area = tail.reduce((sum, s) => sum + s.areaM2, 0);
    const arm = -tail[0]!.at[0];
    const slope = tail[0]!.slope * tail[0]!.alike;
    const volume = (area * arm) / (vehicle.wingM2 * vehicle.chordM);
    const wanted = (-2 * 0.92 * slope * volume * arm) / vehicle.chordM;
    expect(damping / wanted).toBeGreaterThan(0.9);
    expect(damping / wanted).toBeLessThan(1.25);
  });
  it('a V-tail works by projection: pitch by cos², yaw by sin² of its angle (Purser and Campbell, NACA report 823)', () => {
    const { vehicle } = change('v-tail', W, 0.01);
    const panel = vehicle.strips.find((s) => !s.wing)!;
    const tilt = (38 * Math.PI) / 180;
    expect(panel.normal[2] ** 2).toBeCloseTo(Math.cos(tilt) ** 2, 6);
    expect(panel.normal[1] ** 2).toBeCloseTo(Math.sin(tilt) ** 2, 6);
  });
  it.each(FLYING_KINDS)(
    '%s: it points into the wind, rights its bank in a slip, and its nose comes back',
    (kind) => {
      const side = change(kind, V, 0.05);
      expect(side.moment(2)).toBeGreaterThan(0);
      expect(side.moment(0)).toBeLessThan(side.pressure * 0.002);
      const up = change(kind, W, 0.05);
      expect(up.moment(1)).toBeLessThan(0);
    },
  );
  it.each([
    [0.2, 0.55],
    [0.3, 0.66],
    [1, 1],
  ])(
    'a flap of %d of the chord is worth %d of its angle (Glauert), before the knock-down',
    (share, tau) => {
      expect(flapOf(share, 1).tau / 0.8).toBeCloseTo(tau, 1);
    },
  );
});
