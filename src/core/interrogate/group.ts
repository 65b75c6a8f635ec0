import { randomOf } from '../dice';

/** What is believed of some facets together: how likely each combination of their values is. */
export interface Group {
  facets: readonly number[];
  /** Positions of values, in the order of the facets. */
  tuples: readonly (readonly number[])[];
  weights: readonly number[];
  /** How well each agrees with what was seen, the best 1: without what is usual. */
  likes: readonly number[];
}

/** A combination that agrees less than this with what was seen, against the best, is dropped. */
const LEAST = 1e-5;
/** Combinations that are weighed together at most. */
export const MOST_TUPLES = 8000;

/** Combinations looked at for a guess. */
const SOME = 96;
/** Units drawn by chance for a guess over several groups. */
export const DRAWS = 96;

/** One facet by itself. @param weights of its values, any scale */
export const aloneGroup = (facet: number, weights: readonly number[]): Group =>
  normed({
    facets: [facet],
    tuples: weights.map((_, i) => [i]),
    weights,
    likes: weights.map(() => 1),
  });

/** Groups that know nothing of each other as one. */
export function joined(groups: readonly Group[]): Group {
  return groups.reduce((a, b) => ({
    facets: [...a.facets, ...b.facets],
    tuples: a.tuples.flatMap((s) => b.tuples.map((t) => [...s, ...t])),
    weights: a.weights.flatMap((s) => b.weights.map((t) => s * t)),
    likes: a.likes.flatMap((s) => b.likes.map((t) => s * t)),
  }));
}

/** How many combinations they would be together. */
export const sizeOf = (groups: readonly Group[]): number =>
  groups.reduce((n, g) => n * g.tuples.length, 1);

/** Weighs a group anew. @param by how well each combination agrees with what was seen */
export function weighed(group: Group, by: (tuple: readonly number[]) => number): Group {
  const agrees = group.tuples.map(by);
  return normed({
    ...group,
    weights: group.weights.map((w, i) => w * agrees[i]!),
    likes: group.likes.map((l, i) => l * agrees[i]!),
  });
}

function normed(group: Group): Group {
  const best = Math.max(...group.likes);
  const kept = group.likes.flatMap((l, i) => (l >= best * LEAST ? [i] : []));
  const sum = kept.reduce((s, i) => s + group.weights[i]!, 0);
  return {
    facets: group.facets,
    tuples: kept.map((i) => group.tuples[i]!),
    weights: kept.map((i) => group.weights[i]! / sum),
    likes: kept.map((i) => group.likes[i]! / best),
  };
}

/** A group taken apart again where a facet has one value left. */
export function parted(group: Group): Group[] {
  const fixed = group.facets.flatMap((_, k) =>
    group.tuples.every((t) => t[k] === group.tuples[0]![k]) ? [k] : [],
  );
  if (fixed.length === 0 || group.facets.length === 1) return [group];
  const single = fixed.map((k): Group => ({
    facets: [group.facets[k]!],
    tuples: [[group.tuples[0]![k]!]],
    weights: [1],
    likes: [1],
  }));
  const open = group.facets.flatMap((_, k) => (fixed.includes(k) ? [] : [k]));
  if (open.length === 0) return single;
  return [
    ...single,
    {
      facets: open.map((k) => group.facets[k]!),
      tuples: group.tuples.map((t) => open.map((k) => t[k]!)),
      weights: group.weights,
      likes: group.likes,
    },
  ];
}

/** Bits of a distribution. */
export const entropy = (shares: Iterable<number>): number => {
  let bits = 0;
  for (const p of shares) if (p > 0) bits -= p * Math.log2(p);
  return bits;
};

type Measure = 'weights' | 'likes';
type Weighed = readonly (readonly [tuple: readonly number[], share: number])[];

/** Every combination with its share. */
export function everyOf({ tuples, ...group }: Group, by: Measure): Weighed {
  const sum = group[by].reduce((a, b) => a + b, 0);
  return tuples.map((tuple, i) => [tuple, group[by][i]! / sum]);
}

/** Some of many combinations, the likelier the more often, always the same ones: enough for a guess. All of few. */
export function someOf(group: Group, by: Measure): Weighed {
  if (group.tuples.length <= SOME) return everyOf(group, by);
  const random = randomOf(group.tuples.length);
  const picks = Array.from({ length: SOME }, random).toSorted((a, b) => a - b);
  const sum = group[by].reduce((a, b) => a + b, 0);
  let at = 0;
  let upTo = group[by][0]!;
  return picks.map((pick) => {
    while (upTo < pick * sum && at + 1 < group.tuples.length) upTo += group[by][++at]!;
    return [group.tuples[at]!, 1 / SOME];
  });
}

const drawn = {
  weights: new WeakMap<Group, Group['tuples']>(),
  likes: new WeakMap<Group, Group['tuples']>(),
};

/** Combinations drawn by chance, the likelier the more often, in no order and always the same ones. */
export function drawnFrom(group: Group, by: Measure): Group['tuples'] {
  const known = drawn[by].get(group);
  if (known) return known;
  const random = randomOf(group.facets.reduce((seed, facet) => seed * 31 + facet, 7));
  const sum = group[by].reduce((a, b) => a + b, 0);
  const upTo: number[] = [];
  group[by].forEach((share, i) => upTo.push((upTo[i - 1] ?? 0) + share));
  const tuples = Array.from({ length: DRAWS }, () => {
    const pick = random() * sum;
    const at = upTo.findIndex((end) => pick < end);
    return group.tuples.at(at)!;
  });
  drawn[by].set(group, tuples);
  return tuples;
}
