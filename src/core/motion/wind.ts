/** What the air does: steady wind, one gust, turbulence. */
export interface WindWish {
  /** Blowing towards north and east, m/s. */
  northMps?: number | undefined;
  eastMps?: number | undefined;
  /** One gust of air rising, from the side (to the right of north) or along, 1 − cosine. */
  gust?:
    { atS: number; lastsS: number; northMps: number; eastMps: number; upMps: number } | undefined;
  /** RMS of each part, m/s. */
  turbulenceMps?: number | undefined;
}

/** Its own grid of time, so that no other step changes it. */
const GRID_S = 0.02;
/** Length scale of turbulence near the ground, metres. MIL-F-8785C for low height, from memory; made for larger aeroplanes. */
const SCALE_M = 25;
/** Slower than this through the air, and its time scale stays. */
const LEAST_MPS = 3;

/** A wind over time. @param random draws evenly from 0…1, seeded @param speedMps through the air */
export function windOf(
  { northMps = 0, eastMps = 0, gust, turbulenceMps = 0 }: WindWish,
  random: () => number,
  speedMps: number,
): (timeS: number, out: Float64Array) => void {
  const keep = Math.exp((-GRID_S * Math.max(LEAST_MPS, speedMps)) / SCALE_M);
  const fresh = Math.sqrt(1 - keep * keep);
  const now = new Float64Array(3);
  let at = 0;
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  return (timeS, out) => {
    if (turbulenceMps > 0)
      for (; at * GRID_S <= timeS; at++)
        for (let i = 0; i < 3; i++)
          // First-order Dryden shaping; the vertical part is half as strong so near the ground.
          now[i] = keep * now[i]! + fresh * turbulenceMps * (i === 2 ? 0.5 : 1) * normal();
    out[0] = northMps + now[0]!;
    out[1] = eastMps + now[1]!;
    out[2] = now[2]!;
    if (!gust) return;
    const into = (timeS - gust.atS) / gust.lastsS;
    if (into <= 0 || into >= 1) return;
    const share = 0.5 * (1 - Math.cos(2 * Math.PI * into));
    out[0] += share * gust.northMps;
    out[1] += share * gust.eastMps;
    out[2] -= share * gust.upMps;
  };
}
