import { G_MPS2 } from '../level';
import { motorPlaceOf, thrustLine } from '../model';
import type { Airframe, Setup } from '../setup';
import { AIR_KG_M3, SECTION_DRAG, sectionAt } from './air';
import { rigidBody, type Inertia } from './body';
import {
  dragOf,
  fuselageOf,
  inertiaOf,
  streamMps,
  streamRadiusM,
  thrustOf,
  type Draw,
  type Thrust,
} from './estimates';
import { OSWALD } from './estimates/drag';
import type { Derivative } from './rk4';
import { P, Q, R, RAD, toBody, U, V, W, WASH } from './state';
import { stripsOf, type Strip } from './strips';

/** What stands on the model for a moment: where its surfaces and motors are, and the wind over the ground. */
export interface Controls {
  /** Degrees, in the order of the airframe; as the chain has them. */
  surfaceDeg: Float64Array;
  motorPct: Float64Array;
  /** Air over the ground in earth axes, m/s. */
  wind: Float64Array;
}

/** What keeps a model in the air at its usual speed, found by `trimmed`. */
export interface Trim {
  /** Wing to body, radians. */
  incidence: number;
  /** Moments that balance it there, as shares of q·S·c (pitch) and q·S·b (roll, yaw). */
  pitch: number;
  roll: number;
  yaw: number;
  /** Motors at its usual speed, percent; 0 where it glides. */
  motorPct: number;
  /** Path below level, radians. */
  descent: number;
}

export const NO_TRIM: Trim = { incidence: 0, pitch: 0, roll: 0, yaw: 0, motorPct: 0, descent: 0 };

/** A model that flies: the forces of its parts on a rigid body. */
export interface Vehicle {
  inertia: Inertia;
  strips: readonly Strip[];
  wingM2: number;
  chordM: number;
  spanM: number;
  thrust: Thrust;
  trim: Trim;
  /** Forces (N) and moments (N·m) in body axes, and how fast the downwash changes. */
  forces(y: Float64Array, controls: Controls, force: Float64Array, moment: Float64Array): number;
  derivative(controls: Controls): Derivative;
}

/** Dynamic pressure at a tail behind a wing. Common practice, no source. */
const TAIL_PRESSURE = 0.92;

/** What a vehicle is made of before it is trimmed. */
export interface Parts {
  setup: Setup;
  draw: Draw;
  strips: readonly Strip[];
  thrust: Thrust;
  trim: Trim;
}

/** A vehicle of parts that are known. Its strips are copied into plain arrays: the inner loop makes nothing. */
export function vehicleOf({ setup, draw, strips, thrust, trim }: Parts): Vehicle {
  const { airframe } = setup;
  const { measures } = airframe;
  const spanM = measures.spanMm / 1000;
  const chordM = measures.chordMm / 1000;
  const wingM2 = spanM * chordM;
  const aspect = spanM / chordM;
  const inertia = inertiaOf(measures, draw);
  const fuselage = fuselageOf(measures.lengthMm / 1000, draw.body);
  const area = strips.reduce((sum, s) => sum + s.areaM2, 0);
  const wholeDrag = dragOf(measures.glideRatio, aspect, draw.drag) * wingM2;
  /** What the body adds to the drag of the strips: q times this, m². */
  const bodyDrag = Math.max(0.1 * wholeDrag, wholeDrag - area * SECTION_DRAG);
  const motors = airframe.motors.map((m) => {
    const place = motorPlaceOf(airframe, m);
    const [fx, fy, fz] = thrustLine(place);
    return {
      x: place.forwardMm / 1000,
      y: place.rightMm / 1000,
      z: place.downMm / 1000,
      fx,
      fy,
      fz,
      share: 1 / airframe.motors.length,
    };
  });
  const pulls = new Float64Array(motors.length);
  const streams = new Float64Array(motors.length);
  const count = strips.length;
  const wings = strips.filter((s) => s.wing).length;
  const field = (pick: (s: Strip) => number) => Float64Array.from(strips, pick);
  const [sx, sy, sz] = [field((s) => s.at[0]), field((s) => s.at[1]), field((s) => s.at[2])];
  const turned = (s: Strip): readonly [Strip['chord'], Strip['normal']] => {
    if (!s.wing) return [s.chord, s.normal];
    // The wing stands to the body at its incidence.
    const [sin, cos] = [Math.sin(trim.incidence), Math.cos(trim.incidence)];
    const [n0, n1, n2] = s.normal;
    return [
      [cos, n1 * sin, n2 * sin],
      [-sin + n0, n1 * cos, n2 * cos],
    ];
  };
  const axes = strips.map(turned);
  const axis = (which: 0 | 1, i: 0 | 1 | 2) => Float64Array.from(axes, (a) => a[which][i]);
  const [cx, cy, cz] = [axis(0, 0), axis(0, 1), axis(0, 2)];
  const [nx, ny, nz] = [axis(1, 0), axis(1, 1), axis(1, 2)];
  const areas = field((s) => s.areaM2);
  const chords = field((s) => s.chordM);
  const surfaces = Int32Array.from(strips, (s) => s.surface);
  const across = Int32Array.from(strips, (s) => s.across);
  const [tau, flapMoment] = [field((s) => s.tau), field((s) => s.moment)];
  const [alike, against] = [field((s) => s.alike), field((s) => s.against)];
  const slopes = field((s) => s.slope);
  const induced = field((s) => 1 / (Math.PI * OSWALD * s.aspect));
  const behind = Uint8Array.from(strips, (s) => (s.behind ? 1 : 0));
  const standing = strips.map((s) => inStream(s, motors, thrust.staticN, draw.disc));
  const streamOf = Int32Array.from(standing, (s) => s.motor);
  const streamShare = Float64Array.from(standing, (s) => s.share);
  const angle = new Float64Array(count);
  const kept = new Float64Array(count);
  const [alongChord, alongNormal] = [new Float64Array(count), new Float64Array(count)];
  const flaps = new Float64Array(airframe.surfaces.length);
  const gust = new Float64Array(3);
  const section = { lift: 0, drag: 0 };
  const tailAt = strips.reduce((x, s) => (s.behind ? Math.min(x, s.at[0]) : x), 0);
  const tailArm = Math.max(0.05, -tailAt);

  const forces: Vehicle['forces'] = (y, { surfaceDeg, motorPct, wind }, force, moment) => {
    toBody(y, wind, gust);
    const u = y[U]! - gust[0]!;
    const v = y[V]! - gust[1]!;
    const w = y[W]! - gust[2]!;
    const p = y[P]!;
    const q = y[Q]!;
    const r = y[R]!;
    const wash = y[WASH]!;
    const speed2 = u * u + v * v + w * w;
    const speed = Math.sqrt(speed2);
    let fx = 0;
    let fy = 0;
    let fz = 0;
    let mx = 0;
    let my = 0;
    let mz = 0;
    let wingLift = 0;
    for (let i = 0; i < flaps.length; i++) flaps[i] = flapAngle(surfaceDeg[i]!);

    const forward = u > 0 ? u : 0;
    for (let i = 0; i < motors.length; i++) {
      const now = (motorPct[i]! / 100) * Math.max(-0.2, 1 - forward / thrust.pitchMps);
      pulls[i] = motors[i]!.share * thrust.staticN * now;
      streams[i] = streamMps(now, forward, draw.disc);
    }

    for (let i = 0; i < count; i++) {
      const x = sx[i]!;
      const yy = sy[i]!;
      const z = sz[i]!;
      let su = u + q * z - r * yy;
      let sv = v + r * x - p * z;
      let sw = w + p * yy - q * x - (behind[i] === 1 ? wash * Math.abs(u) : 0);
      const stream = streamOf[i]!;
      if (stream >= 0) {
        const by = streams[stream]! * streamShare[i]!;
        const m = motors[stream]!;
        su += by * m.fx;
        sv += by * m.fy;
        sw += by * m.fz;
      }
      const vc = su * cx[i]! + sv * cy[i]! + sw * cz[i]!;
      const vn = su * nx[i]! + sv * ny[i]! + sw * nz[i]!;
      alongChord[i] = vc;
      alongNormal[i] = vn;
      const t = -vn / vc;
      // Nearly always the wind comes from ahead: the series is exact to 1e-9 there, and many times quicker.
      const from = vc > 0 && t < 0.2 && t > -0.2 ? nearAtan(t) : Math.atan2(-vn, vc);
      angle[i] = from;
      const at = surfaces[i]!;
      kept[i] = at < 0 ? from : from + tau[i]! * flaps[at]!;
    }
    for (let i = 0; i < count; i++) {
      const vc = alongChord[i]!;
      const vn = alongNormal[i]!;
      const local2 = vc * vc + vn * vn;
      if (local2 < 1e-8) continue;
      const local = Math.sqrt(local2);
      const mine = kept[i]!;
      const other = kept[across[i]!]!;
      const left = 0.5 * (alike[i]! * (mine + other) + against[i]! * (mine - other));
      sectionAt(angle[i]!, left, slopes[i]!, induced[i]!, section);
      const pressure = 0.5 * AIR_KG_M3 * local2 * (behind[i] === 1 ? TAIL_PRESSURE : 1);
      const lift = pressure * areas[i]! * section.lift;
      const drag = pressure * areas[i]! * section.drag;
      const along = (-vn * lift - vc * drag) / local;
      const across1 = (vc * lift - vn * drag) / local;
      const dx = along * cx[i]! + across1 * nx[i]!;
      const dy = along * cy[i]! + across1 * ny[i]!;
      const dz = along * cz[i]! + across1 * nz[i]!;
      fx += dx;
      fy += dy;
      fz += dz;
      const x = sx[i]!;
      const yy = sy[i]!;
      const z = sz[i]!;
      mx += yy * dz - z * dy;
      my += z * dx - x * dz;
      mz += x * dy - yy * dx;
      const at = surfaces[i]!;
      if (at >= 0) {
        // About the span: normal × chord points along it, nose up positive for a level wing.
        const turn = pressure * areas[i]! * chords[i]! * flapMoment[i]! * flaps[at]!;
        mx += turn * (cy[i]! * nz[i]! - cz[i]! * ny[i]!);
        my += turn * (cz[i]! * nx[i]! - cx[i]! * nz[i]!);
        mz += turn * (cx[i]! * ny[i]! - cy[i]! * nx[i]!);
      }
      if (i < wings) wingLift += section.lift * areas[i]!;
    }
    const pressure = 0.5 * AIR_KG_M3 * speed2;
    if (speed > 1e-4) {
      const drag = (pressure * bodyDrag) / speed;
      fx -= drag * u;
      fy -= drag * v + (pressure * fuselage.sideM2 * 0.6 * v * Math.abs(v)) / speed2;
      fz -= drag * w;
      // A body turns itself across the wind.
      const across2 = 0.5 * AIR_KG_M3 * fuselage.turning * u;
      my += across2 * w;
      mz -= across2 * v;
    }
    for (let i = 0; i < motors.length; i++) {
      const m = motors[i]!;
      const pull = pulls[i]!;
      const tx = pull * m.fx;
      const ty = pull * m.fy;
      const tz = pull * m.fz;
      fx += tx;
      fy += ty;
      fz += tz;
      mx += m.y * tz - m.z * ty;
      my += m.z * tx - m.x * tz;
      mz += m.x * ty - m.y * tx;
    }
    const trimmed = 0.5 * AIR_KG_M3 * u * Math.abs(u) * wingM2;
    force[0] = fx;
    force[1] = fy;
    force[2] = fz;
    moment[0] = mx + trimmed * spanM * trim.roll;
    moment[1] = my + trimmed * chordM * trim.pitch;
    moment[2] = mz + trimmed * spanM * trim.yaw;
    const wanted = (2 * wingLift) / wingM2 / (Math.PI * aspect);
    return ((wanted - wash) * Math.max(1, speed)) / tailArm;
  };

  return {
    inertia,
    strips,
    wingM2,
    chordM,
    spanM,
    thrust,
    trim,
    forces,
    derivative(controls) {
      const force = new Float64Array(3);
      const moment = new Float64Array(3);
      return (y, out) => {
        const washing = forces(y, controls, force, moment);
        rigidBody(inertia, y, force, moment, out);
        out[WASH] = washing;
      };
    },
  };
}

/** Where a motor stands and which way it pulls, body axes; its share of the thrust. */
interface Propeller {
  x: number;
  y: number;
  z: number;
  fx: number;
  fy: number;
  fz: number;
  share: number;
}

/** The stream a strip stands in, and how much of it it feels: all inside, none from a third beyond its edge on. */
function inStream(
  { at: [x, y, z] }: Strip,
  motors: readonly Propeller[],
  staticN: number,
  factor: number,
): { motor: number; share: number } {
  let found = { motor: -1, share: 0 };
  motors.forEach((m, motor) => {
    const back = (m.x - x) * m.fx + (m.y - y) * m.fy + (m.z - z) * m.fz;
    if (back <= 0) return;
    const [dx, dy, dz] = [x - m.x + back * m.fx, y - m.y + back * m.fy, z - m.z + back * m.fz];
    const radius = streamRadiusM(m.share * staticN, factor);
    const share = Math.max(0, Math.min(1, 1 - (3 * (Math.hypot(dx, dy, dz) - radius)) / radius));
    if (share > found.share) found = { motor, share };
  });
  return found;
}

/** Arc tangent near nothing, by its series. */
const nearAtan = (t: number): number => {
  const q = t * t;
  return t * (1 - q * (1 / 3 - q * (1 / 5 - q * (1 / 7 - q * (1 / 9 - q / 11)))));
};

/** A flap turned far gives less and less: radians that count of degrees it stands at. Planning figure. */
const FULL = 30 * RAD;
const flapAngle = (deg: number): number => {
  const x = (deg * RAD) / FULL;
  return (FULL * x) / Math.sqrt(1 + x * x * 0.5);
};

/** Strips and thrust for an airframe whose wing stands `aheadM` ahead of the balance point. */
export const untrimmed = (setup: Setup, draw: Draw, aheadM: number): Parts => ({
  setup,
  draw,
  strips: stripsOf(setup.airframe, draw, aheadM),
  thrust: thrustOf(1, weightN(setup.airframe), setup.airframe.measures.cruiseMps, draw.thrust),
  trim: NO_TRIM,
});

export const weightN = ({ measures }: Airframe): number => (measures.massG / 1000) * G_MPS2;
