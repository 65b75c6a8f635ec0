import { G_MPS2, loadFactor } from './turn';

const RAD = Math.PI / 180;

/** What to put under which end so that the model lies on the bench as it flies. */
export interface Wedge {
  under: 'tail' | 'nose' | 'nothing';
  heightMm: number;
  /** How much of a millimetre's error shows as a degree: this many millimetres are 1°. */
  mmPerDeg: number;
}

/**
 * Block height that tips a model from how it stands to how it flies: h = L·sin|Δ|, the supports
 * L apart, turning about the one that stays.
 * @param baseMm between the supports, fore and aft, over 0
 * @param standingDeg @param wantedDeg pitch, nose up positive, less than 90° apart
 */
export function wedgeFor(baseMm: number, standingDeg: number, wantedDeg: number): Wedge {
  const delta = wantedDeg - standingDeg;
  const heightMm = baseMm * Math.sin(Math.abs(delta) * RAD);
  return {
    under: Math.abs(heightMm) < 0.5 ? 'nothing' : delta < 0 ? 'tail' : 'nose',
    heightMm,
    mmPerDeg: baseMm * Math.sin(RAD),
  };
}

/** Pitch a model lies at with a block under one end: the wedge read backwards. Degrees. */
export function pitchOn(
  baseMm: number,
  standingDeg: number,
  under: 'tail' | 'nose',
  heightMm: number,
): number {
  const tip = Math.asin(Math.max(-1, Math.min(1, heightMm / baseMm))) / RAD;
  return standingDeg + (under === 'nose' ? tip : -tip);
}

/**
 * How much the captured pitch is low when the model sinks in self-levelling: asin(w/V).
 * @param sinkMps down positive @param speedMps over 0 @returns degrees, up positive
 */
export const pitchLowBy = (sinkMps: number, speedMps: number): number =>
  Math.asin(Math.max(-1, Math.min(1, sinkMps / speedMps))) / RAD;

/** Share of one axis that a skew of the unit leaks into another: sin ψ. */
export const skewLeak = (skewDeg: number): number => Math.abs(Math.sin(skewDeg * RAD));

type Three = readonly [number, number, number];
const crossed = (a: Three, b: Three): Three => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];

/** A movement of the model, in body axes: x forward, y right, z down. */
export interface Turning {
  ratesDegPerS: Three;
  /** How quickly the rates themselves change, degrees a second squared. */
  changeDegPerS2: Three;
  /** What the wing carries, in g: 1 level, 1/cos φ in a turn. */
  loadG: number;
}

/**
 * What an accelerometer off the centre of gravity feels beyond the rest of the model, α×r + ω×(ω×r)
 * (rigid-body kinematics), and by how much that tilts its idea of level against the n·g it feels.
 * @param offsetMm from the centre of gravity, body axes
 */
export function leverArm(
  { ratesDegPerS, changeDegPerS2, loadG }: Turning,
  offsetMm: Three,
): { accelerationMps2: number; errorDeg: number } {
  const scaled = (v: Three, by: number): Three => [v[0] * by, v[1] * by, v[2] * by];
  const omega = scaled(ratesDegPerS, RAD);
  const r = scaled(offsetMm, 0.001);
  const swing = crossed(omega, crossed(omega, r));
  const start = crossed(scaled(changeDegPerS2, RAD), r);
  const felt: Three = [swing[0] + start[0], swing[1] + start[1], swing[2] + start[2]];
  // Gravity as felt points down in body axes; what is felt beside it tilts it, along it changes its size.
  const down = loadG * G_MPS2 - felt[2];
  return {
    accelerationMps2: Math.hypot(...felt),
    errorDeg: Math.atan2(Math.hypot(felt[0], felt[1]), down) / RAD,
  };
}

/** A steady turn: about the upright of the earth, which a banked model feels about two of its axes. */
export function steadyTurn(rateDegPerS: number, bankDeg: number): Turning {
  const bank = bankDeg * RAD;
  return {
    ratesDegPerS: [0, rateDegPerS * Math.sin(bank), rateDegPerS * Math.cos(bank)],
    changeDegPerS2: [0, 0, 0],
    loadG: loadFactor(bankDeg),
  };
}
