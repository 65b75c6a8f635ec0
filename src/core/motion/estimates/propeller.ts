import { AIR_KG_M3 } from '../air';

/** Static thrust on a square metre of propeller disc, N. Usual for sport models; common practice, no source. */
const DISC_N_M2 = 300;
/** The stream is narrower than the disc once it has its speed: its radius, of the propeller's. */
const NARROWS = 0.9;

/** Radius of the stream behind a propeller with so much thrust at rest, metres. */
export const streamRadiusM = (staticN: number, factor: number): number =>
  NARROWS * Math.sqrt(staticN / (factor * DISC_N_M2 * Math.PI));

/**
 * How much faster than the model's own wind the stream is, by momentum theory: √(V² + 2·T/(ρ·A)) − V, with the disc of
 * this much thrust at rest.
 * @param share thrust now, of the static one @param forwardMps 0 or more
 */
export function streamMps(share: number, forwardMps: number, factor: number): number {
  const under = forwardMps * forwardMps + (2 * factor * DISC_N_M2 * share) / AIR_KG_M3;
  return Math.sqrt(under > 0 ? under : 0) - forwardMps;
}
