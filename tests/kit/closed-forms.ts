import { G_MPS2, turnRadiusM } from '../../src/core/level';

/** How far from where the signal is lost the model can come down. All lengths in metres. */
export interface Footprint {
  /** Until it is down, seconds. */
  timeS: number;
  sinkMps: number;
  /** Reach over ground with the wind behind it and against it; in a circle the same way out. */
  downwindM: number;
  upwindM: number;
  /** Of the circle flown; Infinity when it glides straight. */
  radiusM: number;
}

/** Lift over drag is best where both kinds of drag are alike: CD0 = k·CL². No source beyond the mechanics. */
const BEST_SHARE = 0.5;

/**
 * Steady glide in a bank, lift coefficient held: tan γ = 1/(E·cos φ), since lift carries the weight by
 * its upright part and drag is balanced along the path; L·cos φ = W·cos γ gives the speed, and the
 * sideways part of lift the circle.
 * @param glideRatio E, lift over drag, over 0 @param speedMps straight, at the same lift coefficient
 */
export function glideAt(
  glideRatio: number,
  speedMps: number,
  bankDeg: number,
): { sinkMps: number; forwardMps: number; radiusM: number } {
  const bank = (Math.abs(bankDeg) * Math.PI) / 180;
  const straight = Math.atan(1 / glideRatio);
  const path = Math.atan(1 / (glideRatio * Math.cos(bank)));
  const speed = speedMps * Math.sqrt(Math.cos(path) / Math.cos(bank) / Math.cos(straight));
  const forwardMps = speed * Math.cos(path);
  return {
    sinkMps: speed * Math.sin(path),
    forwardMps,
    radiusM: turnRadiusM(speed, bankDeg) * Math.cos(path),
  };
}

/**
 * What holding the nose up or down does to a glide: the wing meets the air at the pitch held plus the
 * angle of the path, so that lift coefficient and path are found together. Lift rises with the angle
 * by 2π·AR/(AR + 2) a radian (thin wing of finite span, any aerodynamics text), drag by the parabola
 * that has its best glide at `glideRatio`.
 * @param pitchDeg nose above where it is in level flight at `speedMps`
 * @param aspect span over chord, over 0
 * @returns glide ratio and straight speed with the pitch held
 */
export function glideWithPitch(
  glideRatio: number,
  speedMps: number,
  pitchDeg: number,
  aspect: number,
  liftAtSpeed = 0.6,
): { glideRatio: number; speedMps: number } {
  const slope = (2 * Math.PI * aspect) / (aspect + 2);
  // Drag parabola with the given ratio at the lift flown.
  const induced = BEST_SHARE / (glideRatio * liftAtSpeed);
  const drag0 = ((1 - BEST_SHARE) * liftAtSpeed) / glideRatio;
  const pitch = (pitchDeg * Math.PI) / 180;
  const liftAt = (path: number) =>
    Math.max(0.05, Math.min(1.3, liftAtSpeed + slope * (pitch + path)));
  const ratioAt = (lift: number) => lift / (drag0 + induced * lift * lift);
  // The path that the angle itself gives: both sides fall together, halved to the crossing.
  let lo = 0;
  let hi = Math.PI / 2.2;
  for (let i = 0; i < 60; i++) {
    const mid = (lo + hi) / 2;
    if (Math.tan(mid) > 1 / ratioAt(liftAt(mid))) hi = mid;
    else lo = mid;
  }
  const path = (lo + hi) / 2;
  const lift = liftAt(path);
  return {
    glideRatio: ratioAt(lift),
    speedMps: speedMps * Math.sqrt((liftAtSpeed / lift) * Math.cos(path)),
  };
}

/**
 * Glide or circle with the motor off; the wind carries the whole of it along.
 * @param heightM above ground, over 0 @param glideRatio distance to height in still air, over 0
 * @param speedMps through the air, over 0 @param windMps 0 or more @param bankDeg −60…60
 * @param pitchDeg nose held above level flight; with it the wing's aspect ratio
 */
export function footprint({
  heightM,
  glideRatio,
  speedMps,
  windMps,
  bankDeg,
  pitch,
}: {
  heightM: number;
  glideRatio: number;
  speedMps: number;
  windMps: number;
  bankDeg: number;
  pitch?: { deg: number; aspect: number };
}): Footprint {
  const held = pitch
    ? glideWithPitch(glideRatio, speedMps, pitch.deg, pitch.aspect)
    : { glideRatio, speedMps };
  const { sinkMps, forwardMps, radiusM } = glideAt(held.glideRatio, held.speedMps, bankDeg);
  const timeS = heightM / sinkMps;
  const drift = windMps * timeS;
  if (Number.isFinite(radiusM))
    return { timeS, sinkMps, downwindM: 2 * radiusM + drift, upwindM: 2 * radiusM, radiusM };
  const still = forwardMps * timeS;
  return {
    timeS,
    sinkMps,
    downwindM: still + drift,
    // Stronger wind than speed: it is carried back from where it was.
    upwindM: Math.max(0, still - drift),
    radiusM,
  };
}

export interface Recovery {
  rollS: number;
  totalS: number;
  /** Height lost until the wings are level, and in pulling out. */
  rollingM: number;
  pullOutM: number;
  heightM: number;
}

/** Load factor of the pull-out: what a levelling unit gives with some up elevator. */
const PULL_OUT_G = 2;

/**
 * Time and height from inverted flight to level, the point mass integrated. Trimmed for level flight
 * the wing keeps giving its one g: inverted it pulls down, so that until something acts the model
 * falls at 2 g; while it rolls through half a turn at a steady rate, the pull is g·(1 + cos ωt), which
 * costs g·T²·(1/2 + 2/π²); then it is pulled out on a circle of R = V²/(g·(n − 1)). Planning figures:
 * no source beyond the mechanics.
 * @param rollRateDegPerS over 0 @param speedMps over 0 @param delayS before anything acts, 0 or more
 */
export function fromInverted({
  rollRateDegPerS,
  speedMps,
  delayS,
}: {
  rollRateDegPerS: number;
  speedMps: number;
  delayS: number;
}): Recovery {
  const rollS = 180 / rollRateDegPerS;
  const waitingM = G_MPS2 * delayS * delayS;
  const waitedMps = 2 * G_MPS2 * delayS;
  const rollingM =
    waitingM + waitedMps * rollS + G_MPS2 * rollS * rollS * (0.5 + 2 / (Math.PI * Math.PI));
  const downMps = waitedMps + G_MPS2 * rollS;
  const speed = Math.hypot(speedMps, downMps);
  const angle = Math.asin(Math.min(1, downMps / speed));
  const radius = (speed * speed) / (G_MPS2 * (PULL_OUT_G - 1));
  const pullOutM = radius * (1 - Math.cos(angle));
  const pullS = (radius * angle) / speed;
  return {
    rollS,
    totalS: delayS + rollS + pullS,
    rollingM,
    pullOutM,
    heightM: rollingM + pullOutM,
  };
}
