import { compileChain, USUAL_UNIT } from '../chain';
import { kindOf, type Setup } from '../setup';
import { AIR_KG_M3 } from './air';
import { thrustOf, type Draw } from './estimates';
import { offTheWing, stripsOf } from './strips';
import { D, E, N, setAttitude, STATES, U, V, W, WASH } from './state';
import { untrimmed, vehicleOf, weightN, type Controls, type Parts, type Vehicle } from './vehicle';

/** A model that can be flown, or what about its measures makes that impossible, in words. */
export type Flyable = { ok: true; vehicle: Vehicle } | { ok: false; reason: string };

/** Share of the chord the balance point lies ahead of where lift acts. Usual for sport models; common practice, no source. */
const STATIC_MARGIN = 0.12;
/** No section carries more than this for long. */
const MOST_LIFT = 1.25;
/** A wing that would have to stand further off than this many chords is on another model. */
const FURTHEST = 3;

/** A unit that answers nothing: what the sticks alone do. */
const SILENT = {
  ...USUAL_UNIT,
  ratePctPerDegS: 0,
  holdPctPerDeg: 0.001,
  levelStrength: 0,
  levelRatePctPerDegS: 0,
};

/** Surfaces where the program has them with nobody touching anything, the unit off. */
export function restingControls(setup: Setup): Controls {
  const chain = compileChain(setup, SILENT);
  const frame = chain.newFrame();
  chain.step(chain.restStimulus(), chain.newMemory(), frame);
  return {
    surfaceDeg: Float64Array.from(frame.surfaceDeg),
    motorPct: new Float64Array(setup.airframe.motors.length),
    wind: new Float64Array(3),
  };
}

/** What a model cannot be flown with, in words and with what to measure; nothing where it can. */
function senseless({ airframe }: Setup): string | undefined {
  if (kindOf(airframe).moves !== 'air') return 'it does not fly';
  const { measures } = airframe;
  const area = (measures.spanMm * measures.chordMm) / 1e6;
  const lift = (speed: number) => weightN(airframe) / (0.5 * AIR_KG_M3 * speed * speed * area);
  const figures = `${measures.massG} g on ${Math.round(area * 100)} dm²`;
  if (lift(measures.cruiseMps) > MOST_LIFT)
    return `no wing carries ${figures} at ${measures.cruiseMps} m/s: measure its mass, span, chord and usual speed again`;
  if (lift(measures.cruiseMps) < 0.005)
    return `${figures} at ${measures.cruiseMps} m/s needs no wing: measure its mass and usual speed again`;
  if (measures.glideRatio > 3 * Math.sqrt((Math.PI * measures.spanMm) / measures.chordMm))
    return `no wing of ${measures.spanMm} by ${measures.chordMm} mm glides ${measures.glideRatio} to 1: measure its glide ratio again`;
  return undefined;
}

/**
 * A state at its usual speed, in level flight or on its glide path. Body axes are those of the model as it flies, like
 * on the rig: whatever its nose does at its usual speed is 0° here, and how level was captured is the chain's to know.
 */
function usualState(speed: number, descent: number): Float64Array {
  const y = new Float64Array(STATES);
  y[N] = y[E] = y[D] = y[V] = 0;
  y[U] = speed * Math.cos(descent);
  y[W] = speed * Math.sin(descent);
  setAttitude(y, { rollDeg: 0, pitchDeg: 0, headingDeg: 0 });
  return y;
}

/** Forces with the downwash settled. */
function settled(vehicle: Vehicle, y: Float64Array, controls: Controls) {
  const force = new Float64Array(3);
  const moment = new Float64Array(3);
  // How fast it changes falls to nothing in a straight line.
  const changes = vehicle.forces(y, controls, force, moment);
  const before = y[WASH]!;
  y[WASH] = before + 1e-3;
  const slope = (vehicle.forces(y, controls, force, moment) - changes) / 1e-3;
  y[WASH] = slope === 0 ? before : before - changes / slope;
  vehicle.forces(y, controls, force, moment);
  return { force, moment };
}

/** How lift and pitching moment change with the angle of attack, by differencing. */
function slopesAt(vehicle: Vehicle, y: Float64Array, controls: Controls) {
  const step = 0.01;
  const at = (turn: number) => {
    const moved = Float64Array.from(y);
    const [u, w] = [y[U]!, y[W]!];
    moved[U] = u * Math.cos(turn) - w * Math.sin(turn);
    moved[W] = u * Math.sin(turn) + w * Math.cos(turn);
    return settled(vehicle, moved, controls);
  };
  const [low, high] = [at(-step), at(step)];
  return {
    lift: -(high.force[2]! - low.force[2]!) / (2 * step),
    pitch: (high.moment[1]! - low.moment[1]!) / (2 * step),
  };
}

/**
 * A model trimmed at its usual speed with its surfaces as the program leaves them and the unit off: where its wing
 * stands from its static margin, its incidence and power from its usual speed.
 */
export function trimmed(setup: Setup, draw: Draw): Flyable {
  const reason = senseless(setup);
  if (reason) return { ok: false, reason };
  const { airframe } = setup;
  const { measures } = airframe;
  const [off] = offTheWing(airframe, stripsOf(airframe, draw, 0));
  if (off)
    return {
      ok: false,
      reason: `where the ${off.label.toLowerCase()} is drawn there is no wing, or another part: measure its place and the span of the wing again`,
    };
  const controls = restingControls(setup);
  const speed = measures.cruiseMps;
  const weight = weightN(airframe);
  const chord = measures.chordMm / 1000;
  const span = measures.spanMm / 1000;
  const wanted = -STATIC_MARGIN * draw.margin * chord;

  let ahead = 0.05 * chord;
  for (let i = 0; i < 6; i++) {
    const parts = untrimmed(setup, draw, ahead);
    const { lift, pitch: turning } = slopesAt(vehicleOf(parts), usualState(speed, 0.05), controls);
    ahead += wanted - turning / lift;
  }
  if (!Number.isFinite(ahead) || Math.abs(ahead) > FURTHEST * chord)
    return {
      ok: false,
      reason:
        'where its tail and wing are, it would not balance: measure where its elevator stands from the balance point',
    };

  const powered = airframe.motors.length > 0;
  let parts: Parts = untrimmed(setup, draw, ahead);
  let { incidence, descent, motorPct } = parts.trim;
  incidence = 0.05;
  const q = 0.5 * AIR_KG_M3 * speed * speed * span * chord;
  let last = { force: new Float64Array(3), moment: new Float64Array(3) };
  for (let i = 0; i < 60; i++) {
    parts = { ...parts, trim: { incidence, descent, motorPct, pitch: 0, roll: 0, yaw: 0 } };
    const vehicle = vehicleOf(parts);
    controls.motorPct.fill(motorPct);
    const y = usualState(speed, descent);
    last = settled(vehicle, y, controls);
    const short = last.force[2]! + weight;
    const pull = last.force[0]!;
    incidence += (0.7 * short) / (q * 4);
    if (!powered) {
      // The air comes from further below the steeper it glides: what changes is the angle, and the wing with it.
      const steeper = -(0.7 * pull) / weight;
      descent += steeper;
      incidence -= steeper;
      continue;
    }
    const drag = Math.max(0.01, -(pull - pullOf(parts, motorPct, speed)));
    parts = { ...parts, thrust: thrustOf(drag, weight, speed, draw.thrust) };
    motorPct = Math.min(
      100,
      Math.max(0, (100 * drag) / (parts.thrust.staticN * (1 - speed / parts.thrust.pitchMps))),
    );
  }
  const trim = {
    incidence,
    descent,
    motorPct,
    pitch: -last.moment[1]! / (q * chord),
    roll: -last.moment[0]! / (q * span),
    yaw: -last.moment[2]! / (q * span),
  };
  if (!Object.values(trim).every(Number.isFinite) || Math.abs(incidence) > 0.6)
    return {
      ok: false,
      reason: 'at its usual speed its wing would not carry it: measure its speeds again',
    };
  return { ok: true, vehicle: vehicleOf({ ...parts, trim }) };
}

/** Forward pull of the motors at a setting; thrust lines that lean are near enough to straight ahead for this. */
const pullOf = ({ thrust }: Parts, pct: number, speed: number): number =>
  ((thrust.staticN * pct) / 100) * (1 - speed / thrust.pitchMps);

/** The model at its usual speed as it was trimmed, at a height and heading north. */
export function cruising(setup: Setup, vehicle: Vehicle, heightM: number): Float64Array {
  const y = usualState(setup.airframe.measures.cruiseMps, vehicle.trim.descent);
  y[D] = -heightM;
  const controls = restingControls(setup);
  controls.motorPct.fill(vehicle.trim.motorPct);
  settled(vehicle, y, controls);
  return y;
}
