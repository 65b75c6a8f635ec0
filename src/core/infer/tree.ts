import { Matrix, SVD } from 'ml-matrix';
import { expo, positionsOf, switchValue } from '../chain';
import { byEye } from '../sheets';
import { isSwitched, type Control } from '../setup';

/*
 * What one channel does, as the smallest decision tree that gives what was read: switches choose between
 * leaves, and a leaf is a fixed value or follows one or two sticks, knobs or sliders. Of all trees that fit, the
 * one that takes fewest figures to write down is taken (minimum description length, Rissanen 1978).
 */

/**
 * What a channel does with the switches that matter standing still: a shift, and for each control a share of it
 * as it stands and a share of it with full expo. Between the two lies every expo from −100 to +100 %.
 */
export interface Leaf {
  kind: 'leaf';
  shift: number;
  terms: { of: number; plainPct: number; bentPct: number }[];
  /** Where it stops: what was read there is at least so far out. */
  least: number;
  most: number;
}

/** A curve of one control through what was read. */
export interface Points {
  kind: 'points';
  of: number;
  points: (readonly [inPct: number, outPct: number])[];
}

/** One position of a switch against all others. */
export interface Split {
  kind: 'split';
  of: number;
  position: number;
  at: Tree;
  other: Tree;
}

export type Tree = Leaf | Points | Split;

/** Every control a tree reads. */
export const controlsIn = (tree: Tree): number[] =>
  tree.kind === 'split'
    ? [tree.of, ...controlsIn(tree.at), ...controlsIn(tree.other)]
    : tree.kind === 'points'
      ? [tree.of]
      : tree.terms.map((t) => t.of);

export interface Seen {
  /** Where every control stood, in the transmitter's order. */
  hands: readonly number[];
  value: number;
}

/** Monitors round, and switches and sticks end a little short. */
export const SAME_PCT = 0.75;
/** A position between the ends is estimated, and wrong by up to this. Common practice, no source. */
const ESTIMATED_WRONG_PCT = 3.2;
const ESTIMATED_WEIGHT = 0.2;
/** What is left of rounding in a solved share. */
const ROUNDED_PCT = 0.1;
/** A curve takes at most so many points. */
const MOST_POINTS = 17;
/** Trees of one size that are kept: more are told apart by the next readings all the same. */
const MOST_TREES = 24;
/** Choices one inside another. */
const MOST_DEPTH = 4;
/** Steps of the search before a channel is given up as no simple program. */
const MOST_STEPS = 8_000;
const MOST_COST = 16;

/** Which position of a switch a value stands for. */
export function positionAt({ kind }: Control, value: number): number {
  const places = Array.from({ length: positionsOf(kind) }, (_, p) =>
    Math.abs(switchValue(kind, p) - value),
  );
  return places.indexOf(Math.min(...places));
}

/** What a tree gives with the controls standing so. */
export function predict(
  controls: readonly Control[],
  tree: Tree,
  hands: readonly number[],
): number {
  switch (tree.kind) {
    case 'split':
      return predict(
        controls,
        positionAt(controls[tree.of]!, hands[tree.of]!) === tree.position ? tree.at : tree.other,
        hands,
      );
    case 'points':
      return between(tree.points, hands[tree.of]!);
    case 'leaf':
      return Math.min(tree.most, Math.max(tree.least, raw(tree, hands)));
  }
}

const raw = ({ shift, terms }: Leaf, hands: readonly number[]): number =>
  terms.reduce((sum, t) => sum + termAt(t, hands[t.of]!), shift);

/** What one control gives at a position. */
export const termAt = ({ plainPct, bentPct }: Leaf['terms'][number], at: number): number =>
  (plainPct * expo(at, 0) + bentPct * expo(at, 100)) / 100;

function between(points: Points['points'], value: number): number {
  const after = points.findIndex(([x]) => x >= value);
  if (after <= 0) return after < 0 ? points.at(-1)![1] : points[0]![1];
  const [[x0, y0], [x1, y1]] = [points[after - 1]!, points[after]!];
  return y0 + ((y1 - y0) * (value - x0)) / (x1 - x0);
}

export interface Explained {
  cost: number;
  /** All of the same size that give what was read; more than one is not told apart yet. */
  trees: Tree[];
}

/** @returns undefined where no simple program gives what was read */
export function explain(
  controls: readonly Control[],
  seen: readonly Seen[],
): Explained | undefined {
  const search = searchOf(controls, seen);
  const all = seen.map((_, i) => i);
  for (let budget = 1; budget <= MOST_COST; budget++) {
    const found = search(all, budget, MOST_DEPTH);
    if (found === 'given-up') break;
    if (found) return found;
  }
  return tabled(controls, seen);
}

/** One leaf for every place of up to three switches, the fewest that will do: what is larger than the search goes. */
function tabled(controls: readonly Control[], seen: readonly Seen[]): Explained | undefined {
  const moved = controls.flatMap((_, i) =>
    new Set(seen.map((s) => s.hands[i])).size > 1 ? [i] : [],
  );
  const switches = moved.filter((i) => isSwitched(controls[i]!));
  const free = moved.filter((i) => !isSwitched(controls[i]!));
  const sets = switches.flatMap((a, i) => [
    [a],
    ...switches
      .slice(i + 1)
      .flatMap((b, k) => [[a, b], ...switches.slice(i + k + 2).map((c) => [a, b, c])]),
  ]);
  for (const size of [1, 2, 3]) {
    const found = sets
      .filter((set) => set.length === size)
      .flatMap((set) => tableOf(controls, free, set, seen) ?? [])
      // As many figures as readings say nothing.
      .filter((t) => t.cost * 2 <= seen.length);
    const cost = Math.min(...found.map((f) => f.cost));
    if (found.length > 0)
      return { cost, trees: found.filter((f) => f.cost === cost).map((f) => f.tree) };
  }
  return undefined;
}

function tableOf(
  controls: readonly Control[],
  free: readonly number[],
  [of, ...others]: readonly number[],
  seen: readonly Seen[],
): { cost: number; tree: Tree } | undefined {
  if (of === undefined) {
    const leaf = fitLeaf(controls, free, seen);
    return leaf && { cost: leaf.cost, tree: leaf.trees[0]! };
  }
  const places = new Map<number, Seen[]>();
  for (const s of seen) {
    const position = positionAt(controls[of]!, s.hands[of]!);
    places.set(position, [...(places.get(position) ?? []), s]);
  }
  let cost = places.size - 1;
  let tree: Tree | undefined;
  for (const [position, rows] of places) {
    const branch = tableOf(controls, free, others, rows);
    if (!branch) return undefined;
    cost += branch.cost;
    tree = tree ? { kind: 'split', of, position, at: branch.tree, other: tree } : branch.tree;
  }
  return tree && { cost, tree };
}

function searchOf(controls: readonly Control[], seen: readonly Seen[]) {
  const moved = controls.flatMap((_, i) =>
    new Set(seen.map((s) => s.hands[i])).size > 1 ? [i] : [],
  );
  const splits = moved.flatMap((of) => {
    const control = controls[of]!;
    if (!isSwitched(control)) return [];
    const count = positionsOf(control.kind);
    // Of two positions one tells of the other.
    return Array.from({ length: count }, (_, position) => ({ of, position })).slice(
      count === 2 ? 1 : 0,
    );
  });
  const sides = splits.map(({ of, position }) =>
    seen.map((s) => positionAt(controls[of]!, s.hands[of]!) === position),
  );
  const free = moved.filter((i) => !isSwitched(controls[i]!));
  const leaves = new Map<string, Explained | undefined>();
  const known = new Map<string, { tried: number; found: Explained | undefined }>();
  let steps = 0;

  const leafOf = (rows: readonly number[], key: string): Explained | undefined => {
    if (!leaves.has(key))
      leaves.set(
        key,
        fitLeaf(
          controls,
          free,
          rows.map((i) => seen[i]!),
        ),
      );
    return leaves.get(key);
  };

  return function search(
    rows: readonly number[],
    budget: number,
    depth: number,
  ): Explained | undefined | 'given-up' {
    const name = rows.join();
    const key = `${depth} ${name}`;
    const before = known.get(key);
    if (before && (before.found || before.tried >= budget))
      return before.found && before.found.cost <= budget ? before.found : undefined;
    if (++steps > MOST_STEPS) return 'given-up';
    const leaf = leafOf(rows, name);
    let best = leaf && leaf.cost <= budget ? leaf.cost : Infinity;
    let trees = best < Infinity ? [...leaf!.trees] : [];
    // Two leaves and what chooses between them take three figures at least.
    if (best > 2 && depth > 0 && budget >= 3)
      for (const [k, split] of splits.entries()) {
        const at = rows.filter((i) => sides[k]![i]);
        if (at.length === 0 || at.length === rows.length) continue;
        const other = rows.filter((i) => !sides[k]![i]);
        const room = Math.min(best, budget) - 1;
        // The smaller side first: it is the sooner too dear.
        const [one, two] = at.length <= other.length ? [at, other] : [other, at];
        const a = search(one, room - 1, depth - 1);
        if (a === 'given-up') return a;
        if (!a) continue;
        const b = search(two, room - a.cost, depth - 1);
        if (b === 'given-up') return b;
        if (!b) continue;
        const cost = 1 + a.cost + b.cost;
        if (cost < best) {
          best = cost;
          trees = [];
        }
        const [atTrees, otherTrees] = one === at ? [a.trees, b.trees] : [b.trees, a.trees];
        for (const x of atTrees)
          for (const y of otherTrees)
            if (trees.length < MOST_TREES) trees.push({ kind: 'split', ...split, at: x, other: y });
      }
    const found = best < Infinity ? { cost: best, trees } : undefined;
    known.set(key, { tried: budget, found });
    return found;
  };
}

const fixed = (value: number): Leaf => ({
  kind: 'leaf',
  shift: value,
  terms: [],
  least: -Infinity,
  most: Infinity,
});

/** The fewest figures that give these readings without any switch; all ways of that size. */
function fitLeaf(
  controls: readonly Control[],
  free: readonly number[],
  rows: readonly Seen[],
): Explained | undefined {
  const values = rows.map((r) => r.value);
  const [least, most] = [Math.min(...values), Math.max(...values)];
  if (most - least <= 2 * SAME_PCT) return { cost: 1, trees: [fixed((least + most) / 2)] };
  const moved = free.filter((f) => new Set(rows.map((r) => r.hands[f])).size > 1);
  const pairs = moved.flatMap((a, i) => moved.slice(i + 1).map((b) => [a, b]));
  const forms: { cost: number; terms: { of: number; bent: boolean }[][] }[] = [
    { cost: 2, terms: moved.map((of) => [{ of, bent: false }]) },
    {
      cost: 3,
      terms: [
        ...moved.map((of) => [{ of, bent: true }]),
        ...pairs.map((p) => p.map((of) => ({ of, bent: false }))),
      ],
    },
    { cost: 5, terms: pairs.map((p) => p.map((of) => ({ of, bent: true }))) },
  ];
  for (const { cost, terms } of forms) {
    const trees = terms.flatMap((t) => fitForm(controls, t, rows, false) ?? []);
    if (trees.length > 0) return { cost, trees };
    // The same, cut off at its ends.
    const cut = terms.flatMap((t) => fitForm(controls, t, rows, true) ?? []);
    if (cut.length > 0) return { cost: cost + 1, trees: cut };
  }
  const curves = moved.flatMap((of): Points[] => {
    const points = new Map<number, number>();
    const single = rows.every((r) => {
      const known = points.get(r.hands[of]!);
      points.set(r.hands[of]!, known ?? r.value);
      return known === undefined || Math.abs(known - r.value) <= 2 * ESTIMATED_WRONG_PCT;
    });
    return single && points.size >= 3 && points.size <= MOST_POINTS
      ? [{ kind: 'points', of, points: [...points].toSorted(([a], [b]) => a - b) }]
      : [];
  });
  return curves.length > 0
    ? { cost: Math.min(...curves.map((c) => c.points.length + 1)), trees: curves }
    : undefined;
}

/**
 * Least squares of one form. Estimated positions count less than exact ones.
 * @returns undefined where the form does not give every reading, or no reading tells its controls apart
 */
function fitForm(
  controls: readonly Control[],
  terms: readonly { of: number; bent: boolean }[],
  rows: readonly Seen[],
  isCut: boolean,
): Leaf[] | undefined {
  const values = rows.map((r) => r.value);
  const [least, most] = isCut ? [Math.min(...values), Math.max(...values)] : [-Infinity, Infinity];
  const inside = isCut
    ? rows.filter((r) => r.value > least + SAME_PCT && r.value < most - SAME_PCT)
    : rows;
  const basis = (r: Seen) => [
    1,
    ...terms.flatMap(({ of, bent }) => {
      const at = r.hands[of]!;
      return bent ? [expo(at, 0) / 100, expo(at, 100) / 100] : [expo(at, 0) / 100];
    }),
  ];
  const width = basis(rows[0]!).length;
  if (inside.length < width) return undefined;
  const weight = (r: Seen) =>
    terms.some((t) => byEye(controls[t.of]!, r.hands[t.of]!)) ? ESTIMATED_WEIGHT : 1;
  const svd = new SVD(new Matrix(inside.map((r) => basis(r).map((v) => v * weight(r)))), {
    autoTranspose: true,
  });
  if (svd.rank < width) return undefined;
  const solution = svd
    .solve(Matrix.columnVector(inside.map((r) => r.value * weight(r))))
    .to1DArray();
  let at = 1;
  const leaf: Leaf = {
    kind: 'leaf',
    shift: solution[0]!,
    terms: terms.map(({ of, bent }) => ({
      of,
      plainPct: solution[at++]!,
      bentPct: bent ? solution[at++]! : 0,
    })),
    least,
    most,
  };
  const isIn =
    Math.abs(leaf.shift) <= 200 &&
    leaf.terms.every((t) => Math.abs(t.plainPct) <= 400 && Math.abs(t.bentPct) <= 400);
  if (!isIn || !leaf.terms.every(isExpo)) return undefined;
  const fits = rows.every((r) => {
    const given = Math.min(most, Math.max(least, raw(leaf, r.hands)));
    return Math.abs(given - r.value) <= withinOf(controls, leaf, r);
  });
  return fits ? [leaf] : undefined;
}

/** Whether a bend is one that expo from −100 to +100 % gives. */
function isExpo({ plainPct, bentPct }: Leaf['terms'][number]): boolean {
  const whole = plainPct + bentPct;
  return Math.abs(whole) >= 1 && plainPct / whole > -0.05 && plainPct / whole < 2.05;
}

/** How far a reading may be off: an estimated position moves the channel by its slope there. */
function withinOf(controls: readonly Control[], leaf: Leaf, r: Seen): number {
  return leaf.terms.reduce((sum, t) => {
    const at = r.hands[t.of]!;
    if (!byEye(controls[t.of]!, at)) return sum;
    const off = ESTIMATED_WRONG_PCT / 2;
    return sum + Math.abs(termAt(t, at + off) - termAt(t, at - off));
  }, SAME_PCT + ROUNDED_PCT);
}
