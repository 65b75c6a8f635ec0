/**
 * Turning things round is arithmetic modulo two: each elementary change flips a fixed set of
 * (check, surface) pairs. Finding the cheapest set of changes with a wanted total flip is a
 * shortest path over those totals.
 */
export interface Flip {
  /** Bit i set: pair i is turned round. */
  mask: bigint;
  cost: number;
}

/** How many totals may be looked at before the search gives up; far above any real model's need. */
const MAX_STATES = 200_000;

/**
 * Cheapest subsets of `flips` whose masks, restricted to `care`, combine to `wanted`.
 * @returns index lists, all of the same least cost, at most `most`; empty when impossible
 */
export function cheapestFlips(
  flips: readonly Flip[],
  wanted: bigint,
  care: bigint,
  most = 4,
): number[][] {
  const goal = wanted & care;
  if (goal === 0n) return [[]];
  const useful = flips
    .map((flip, index) => ({ mask: flip.mask & care, cost: flip.cost, index }))
    .filter((f) => f.mask !== 0n);
  let frontier: { mask: bigint; cost: number; chosen: number[]; next: number }[] = [
    { mask: 0n, cost: 0, chosen: [], next: 0 },
  ];
  const costs = [...new Set(useful.map((f) => f.cost))];
  let seen = 0;
  let best = Infinity;
  const found: number[][] = [];
  // Subsets in rising size; sizes are small because every real fault is a handful of reversals.
  while (frontier.length > 0 && seen < MAX_STATES) {
    const grown: typeof frontier = [];
    for (const state of frontier) {
      for (let i = state.next; i < useful.length; i++) {
        const flip = useful[i]!;
        const cost = state.cost + flip.cost;
        if (cost > best + 1e-9) continue;
        const mask = state.mask ^ flip.mask;
        const chosen = [...state.chosen, flip.index];
        seen += 1;
        if (mask === goal) {
          if (cost < best - 1e-9) {
            best = cost;
            found.length = 0;
          }
          if (found.length < most) found.push(chosen);
        } else if (cost + Math.min(...costs) <= best + 1e-9)
          grown.push({ mask, cost, chosen, next: i + 1 });
      }
    }
    frontier = grown;
  }
  return found;
}
