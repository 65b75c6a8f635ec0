import { G_MPS2, loadFactor, turnRadiusM } from '../level';

/** How far from where the link went the model can come down. All lengths in metres. */
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

/**
 * Glide or circle with the motor off. Sink grows in a turn with the load factor to the power of 1.5
 * (lift and drag at constant lift coefficient); the wind carries the whole of it along.
 * @param heightM above ground, over 0 @param glideRatio distance to height in still air, over 0
 * @param speedMps through the air, over 0 @param windMps 0 or more @param bankDeg 0…60
 */
export function footprint({
  heightM,
  glideRatio,
  speedMps,
  windMps,
  bankDeg,
}: {
  heightM: number;
  glideRatio: number;
  speedMps: number;
  windMps: number;
  bankDeg: number;
}): Footprint {
  const n = loadFactor(Math.abs(bankDeg));
  const straightSink = speedMps / Math.hypot(1, glideRatio);
  const sinkMps = straightSink * n ** 1.5;
  const timeS = heightM / sinkMps;
  const radiusM = turnRadiusM(speedMps * Math.sqrt(n), bankDeg);
  const drift = windMps * timeS;
  if (Number.isFinite(radiusM))
    return { timeS, sinkMps, downwindM: 2 * radiusM + drift, upwindM: 2 * radiusM, radiusM };
  const still = heightM * glideRatio;
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
 * Time and height from inverted flight to level. Until the wings are level the lift, turning from
 * pointing down to pointing up, adds nothing on the whole: the model falls freely; then it is pulled
 * out on a circle of R = V²/(g·(n − 1)). Planning figures: no source beyond the mechanics.
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
  const fallS = delayS + rollS;
  const rollingM = 0.5 * G_MPS2 * fallS * fallS;
  const downMps = G_MPS2 * fallS;
  const speed = Math.hypot(speedMps, downMps);
  const angle = Math.asin(Math.min(1, downMps / speed));
  const radius = (speed * speed) / (G_MPS2 * (PULL_OUT_G - 1));
  const pullOutM = radius * (1 - Math.cos(angle));
  const pullS = (radius * angle) / speed;
  return { rollS, totalS: fallS + pullS, rollingM, pullOutM, heightM: rollingM + pullOutM };
}
