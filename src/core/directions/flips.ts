/**
 * Turning things round is arithmetic modulo two: each elementary change flips a fixed set of
 * (check, surface) pairs. The cheapest set of changes with a wanted total flip is searched for
 * separately in every group of pairs that share a change, so axes do not multiply each other.
 */
export interface Flip {
  /** Bit i set: pair i is reversed. */
  mask: bigint;
  cost: number;
}

interface Candidate extends Flip {
  index: number;
}

/** How many subsets one group may look at before giving up; far above any real model's need. */
const MAX_SUBSETS = 300_000;

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
  const candidates = flips
    .map((flip, index) => ({ mask: flip.mask & care, cost: flip.cost, index }))
    .filter((f) => f.mask !== 0n);
  let answers: number[][] = [[]];
  let covered = 0n;
  for (const group of groupsOf(candidates)) {
    const bits = group.reduce((all, f) => all | f.mask, 0n);
    covered |= bits;
    const own = cheapestInGroup(group, goal & bits, most);
    answers = answers.flatMap((a) => own.map((b) => [...a, ...b])).slice(0, most);
  }
  return (goal & ~covered) === 0n ? answers : [];
}

/** Candidates that touch a common pair, directly or through others, belong together. */
function groupsOf(candidates: readonly Candidate[]): Candidate[][] {
  let groups: { bits: bigint; members: Candidate[] }[] = [];
  for (const candidate of candidates) {
    const touching = groups.filter((g) => (g.bits & candidate.mask) !== 0n);
    const merged = {
      bits: touching.reduce((all, g) => all | g.bits, candidate.mask),
      members: [...touching.flatMap((g) => g.members), candidate],
    };
    groups = [...groups.filter((g) => !touching.includes(g)), merged];
  }
  return groups.map((g) => g.members);
}

function cheapestInGroup(group: readonly Candidate[], goal: bigint, most: number): number[][] {
  if (goal === 0n) return [[]];
  const cheapest = Math.min(...group.map((f) => f.cost));
  let frontier = [{ mask: 0n, cost: 0, chosen: [] as number[], next: 0 }];
  let best = Infinity;
  let looked = 0;
  let found: number[][] = [];
  while (frontier.length > 0 && looked < MAX_SUBSETS) {
    const grown: typeof frontier = [];
    for (const state of frontier)
      for (let i = state.next; i < group.length; i++) {
        const flip = group[i]!;
        const cost = state.cost + flip.cost;
        if (cost > best + 1e-9) continue;
        looked += 1;
        const mask = state.mask ^ flip.mask;
        const chosen = [...state.chosen, flip.index];
        if (mask === goal) {
          if (cost < best - 1e-9) found = [];
          best = cost;
          if (found.length < most) found.push(chosen);
        } else if (cost + cheapest <= best + 1e-9) grown.push({ mask, cost, chosen, next: i + 1 });
      }
    frontier = grown;
  }
  return found;
}
