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
  const table = tableOf(strips, trim, motors, thrust.staticN, draw.disc);
  const places = Int32Array.from(
    strips.flatMap((s, i) => [s.surface, s.across, table.streamOf[i]!]),
  );
  const numbers = table.numbers;
  /** Of each strip the wind along its chord and its normal, its angle, and that with the flap in it. */
  const met = new Float64Array(MET * count);
  const flaps = new Float64Array(airframe.surfaces.length);
  const gust = new Float64Array(3);
  const section = { lift: 0, drag: 0 };
  const half = 0.5 * AIR_KG_M3;
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

    const washed = wash * Math.abs(u);
    for (let i = 0, k = 0, m = 0; i < count; i++, k += NUMBERS, m += MET) {
      const x = numbers[k]!;
      const yy = numbers[k + 1]!;
      const z = numbers[k + 2]!;
      let su = u + q * z - r * yy;
      let sv = v + r * x - p * z;
      let sw = w + p * yy - q * x - numbers[k + 9]! * washed;
      const stream = places[PLACES * i + 2]!;
      if (stream >= 0) {
        const by = streams[stream]! * numbers[k + 10]!;
        const motor = motors[stream]!;
        su += by * motor.fx;
        sv += by * motor.fy;
        sw += by * motor.fz;
      }
      const vc = su * numbers[k + 3]! + sv * numbers[k + 4]! + sw * numbers[k + 5]!;
      const vn = su * numbers[k + 6]! + sv * numbers[k + 7]! + sw * numbers[k + 8]!;
      const t = -vn / vc;
      // Nearly always the wind comes from ahead: the series is exact to 1e-9 there, and many times quicker.
      const from = vc > 0 && t < 0.2 && t > -0.2 ? nearAtan(t) : Math.atan2(-vn, vc);
      const at = places[PLACES * i]!;
      met[m] = vc;
      met[m + 1] = vn;
      met[m + 2] = from;
      met[m + 3] = at < 0 ? from : from + numbers[k + 11]! * flaps[at]!;
    }
    for (let i = 0, k = 0, m = 0; i < count; i++, k += NUMBERS, m += MET) {
      const vc = met[m]!;
      const vn = met[m + 1]!;
      const local2 = vc * vc + vn * vn;
      if (local2 < 1e-8) continue;
      const left =
        numbers[k + 12]! * met[m + 3]! + numbers[k + 13]! * met[MET * places[PLACES * i + 1]! + 3]!;
      sectionAt(met[m + 2]!, left, numbers[k + 14]!, numbers[k + 15]!, section);
      // Pressure times area over the speed: the directions of lift and drag are the wind's, divided by it.
      const share = half * numbers[k + 16]! * Math.sqrt(local2);
      const along = share * (-vn * section.lift - vc * section.drag);
      const across = share * (vc * section.lift - vn * section.drag);
      const dx = along * numbers[k + 3]! + across * numbers[k + 6]!;
      const dy = along * numbers[k + 4]! + across * numbers[k + 7]!;
      const dz = along * numbers[k + 5]! + across * numbers[k + 8]!;
      fx += dx;
      fy += dy;
      fz += dz;
      const x = numbers[k]!;
      const yy = numbers[k + 1]!;
      const z = numbers[k + 2]!;
      mx += yy * dz - z * dy;
      my += z * dx - x * dz;
      mz += x * dy - yy * dx;
      const at = places[PLACES * i]!;
      if (at >= 0) {
        const turn = half * local2 * flaps[at]!;
        mx += turn * numbers[k + 17]!;
        my += turn * numbers[k + 18]!;
        mz += turn * numbers[k + 19]!;
      }
      wingLift += section.lift * numbers[k + 20]!;
    }
    const pressure = half * speed2;
    if (speed > 1e-4) {
      const drag = (pressure * bodyDrag) / speed;
      fx -= drag * u;
      fy -= drag * v + (pressure * fuselage.sideM2 * 0.6 * v * Math.abs(v)) / speed2;
      fz -= drag * w;
      // A body turns itself across the wind.
      const across2 = half * fuselage.turning * u;
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
    const trimmed = half * u * Math.abs(u) * wingM2;
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

/** Numbers of a strip in the table, in the order they are written in; and its places: surface, strip across, stream. */
const NUMBERS = 21;
const PLACES = 3;
/** Numbers of what a strip meets. */
const MET = 4;

/**
 * All that stays of the strips, one after another, with what can be worked out of it beforehand: the inner loop
 * reads on and on in one array.
 */
function tableOf(
  strips: readonly Strip[],
  trim: Trim,
  motors: readonly Propeller[],
  staticN: number,
  disc: number,
): { numbers: Float64Array; streamOf: number[] } {
  const standing = strips.map((s) => inStream(s, motors, staticN, disc));
  const numbers = strips.flatMap((s, i) => {
    const [chord, normal] = turned(s, trim);
    const [c0, c1, c2] = chord;
    const [n0, n1, n2] = normal;
    const area = s.areaM2 * (s.behind ? TAIL_PRESSURE : 1);
    // About the span: normal × chord points along it, nose up positive for a level wing.
    const flap = area * s.chordM * s.moment;
    return [
      ...[...s.at, ...chord, ...normal],
      ...[s.behind ? 1 : 0, standing[i]!.share, s.tau],
      // What it keeps of its own angle, and of that of the strip across.
      ...[0.5 * (s.alike + s.against), 0.5 * (s.alike - s.against)],
      ...[s.slope, 1 / (Math.PI * OSWALD * s.aspect), area],
      ...[flap * (c1 * n2 - c2 * n1), flap * (c2 * n0 - c0 * n2), flap * (c0 * n1 - c1 * n0)],
      s.wing ? s.areaM2 : 0,
    ];
  });
  return { numbers: Float64Array.from(numbers), streamOf: standing.map((s) => s.motor) };
}

/** Chord and normal of a strip: the wing stands to the body at its incidence. */
function turned({ chord, normal, wing }: Strip, { incidence }: Trim) {
  if (!wing) return [chord, normal] as const;
  const [sin, cos] = [Math.sin(incidence), Math.cos(incidence)];
  const [n0, n1, n2] = normal;
  return [[cos, n1 * sin, n2 * sin] as const, [-sin + n0, n1 * cos, n2 * cos] as const] as const;
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
