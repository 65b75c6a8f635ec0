import type { Hands } from './monitor';

/** What is to be shown by as few placements of the hands as can be. */
export interface Cover {
  /** Everything that must show in some pose, by its number, each with hands that show it. */
  seenWith: ReadonlyMap<number, Hands>;
  controls: readonly {
    id: string;
    rest: number;
    values: readonly number[];
    /** A thumb that is on a button cannot hold a sprung stick out as well. */
    needs: 'hand' | 'spring' | '';
  }[];
  /** Whether it shows with the hands so. */
  shows(hands: Hands, i: number): boolean;
}

/** Starts tried for every further pose; the first shows most of it from anywhere. */
const STARTS = 8;
const FIRST_STARTS = 3;

/**
 * A set of poses that shows everything: pose after pose is climbed to the one that shows the most of
 * what is left, from several starts; then two poses become one wherever one does for both.
 */
export function cover(problem: Cover): Hands[] {
  const left = new Set(problem.seenWith.keys());
  const poses: Hands[] = [];
  while (left.size > 0) {
    const starts = poses.length === 0 ? FIRST_STARTS : STARTS;
    // One that surely shows something is among them: of two switches that must go together no
    // single step may show anything.
    const [first] = left;
    const sure = { ...startOf(problem, 0), ...problem.seenWith.get(first!)! };
    const found = [
      climb(problem, left, sure),
      ...Array.from({ length: starts }, (_, start) =>
        climb(problem, left, startOf(problem, start)),
      ),
    ].reduce((a, b) => (b.gain > a.gain || (b.gain === a.gain && b.put < a.put) ? b : a));
    if (found.gain === 0) break;
    poses.push(found.hands);
    for (const i of left) if (problem.shows(found.hands, i)) left.delete(i);
  }
  return joined(problem, new Set([...problem.seenWith.keys()].filter((i) => !left.has(i))), poses);
}

/** Poses of which no one is needless and no two can be one. */
function joined(problem: Cover, all: ReadonlySet<number>, poses: readonly Hands[]): Hands[] {
  const own = (hands: Hands) => new Set([...all].filter((i) => problem.shows(hands, i)));
  const list = poses.map((hands) => ({ hands, shows: own(hands) }));
  const only = (...gone: number[]) => {
    const rest = list.filter((_, i) => !gone.includes(i));
    return new Set([...all].filter((n) => !rest.some((p) => p.shows.has(n))));
  };
  for (let i = list.length - 1; i >= 0; i--) if (only(i).size === 0) list.splice(i, 1);
  for (let a = 0; a < list.length; a++)
    for (let b = a + 1; b < list.length; b++) {
      const need = only(a, b);
      const one = [list[a]!, list[b]!]
        .map((p) => climb(problem, need, { ...p.hands }))
        .find((c) => c.gain === need.size);
      if (!one) continue;
      list.splice(b, 1);
      list.splice(a, 1, { hands: one.hands, shows: own(one.hands) });
      b = a;
    }
  return list.map((p) => p.hands);
}

type Spot = Record<string, number>;

/** Starts that differ from one another: everything at rest, then each control on through its values. */
function startOf({ controls }: Cover, start: number): Spot {
  return Object.fromEntries(
    controls.map((c, i) => [
      c.id,
      start === 0 ? c.rest : c.values[(start * (i + 1)) % c.values.length]!,
    ]),
  );
}

/** One control after another to where it shows the most, until nothing shows more. */
function climb(problem: Cover, left: ReadonlySet<number>, from: Spot) {
  let hands = possible(problem, from);
  let gain = gainOf(problem, left, hands);
  for (let again = true; again;) {
    again = false;
    for (const control of problem.controls)
      for (const value of control.values) {
        if (value === hands[control.id]) continue;
        const next = possible(problem, { ...hands, [control.id]: value }, control.id);
        const more = gainOf(problem, left, next);
        const easier = more === gain && putOf(problem, next) < putOf(problem, hands);
        if (more > gain || easier) {
          hands = next;
          gain = more;
          again = true;
        }
      }
  }
  return { hands: hands as Hands, gain, put: putOf(problem, hands) };
}

/** Hands that two hands can do: with a button held, sprung sticks are let go. */
function possible({ controls }: Cover, hands: Spot, moved?: string): Spot {
  const away = (need: 'hand' | 'spring') =>
    controls.filter((c) => c.needs === need && hands[c.id] !== c.rest);
  if (away('hand').length === 0 || away('spring').length === 0) return hands;
  const stick = controls.find((c) => c.id === moved)?.needs === 'spring';
  const goes = away(stick ? 'hand' : 'spring');
  return { ...hands, ...Object.fromEntries(goes.map((c) => [c.id, c.rest])) };
}

function gainOf(problem: Cover, left: ReadonlySet<number>, hands: Hands): number {
  let gain = 0;
  for (const i of left) if (problem.shows(hands, i)) gain += 1;
  return gain;
}

const putOf = ({ controls }: Cover, hands: Hands): number =>
  controls.filter((c) => hands[c.id] !== c.rest).length;

/**
 * The fewest sets that together have all of what any of them has, exactly, by branching on what is
 * hardest to have. @param sets what each placement shows
 */
export function fewest(sets: readonly ReadonlySet<number>[]): number {
  const own = new Set(sets.flatMap((s) => [...s]));
  const useful = maximal(sets);
  let best = useful.length;
  const go = (left: ReadonlySet<number>, used: number): void => {
    if (left.size === 0) {
      best = Math.min(best, used);
      return;
    }
    if (used + 1 >= best) return;
    let hardest: ReadonlySet<number>[] | undefined;
    for (const i of left) {
      const having = useful.filter((s) => s.has(i));
      if (!hardest || having.length < hardest.length) hardest = having;
    }
    for (const set of hardest!) go(new Set([...left].filter((i) => !set.has(i))), used + 1);
  };
  go(own, 0);
  return best;
}

/** Sets not contained in another. */
function maximal(sets: readonly ReadonlySet<number>[]): ReadonlySet<number>[] {
  const byKey = new Map(sets.map((s) => [[...s].toSorted((a, b) => a - b).join(), s]));
  const list = [...byKey.values()].toSorted((a, b) => b.size - a.size);
  return list.filter(
    (s, i) => !list.slice(0, i).some((other) => [...s].every((n) => other.has(n))),
  );
}
