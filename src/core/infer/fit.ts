import { Matrix, SVD } from 'ml-matrix';
import { positionsOf, switchValue } from '../chain';
import { BY_EYE_PCT } from '../sheets';
import { isSwitched, type Control } from '../setup';

/** What one channel does with the switches that matter standing still. */
export type Branch =
  | { kind: 'shares'; shift: number; terms: { of: number; share: number }[] }
  | { kind: 'curve'; of: number; points: Points }
  /** From where they all rest, each hand adds what it adds by itself. */
  | { kind: 'sum'; shift: number; terms: { of: number; points: Points }[] };

type Points = (readonly [inPct: number, outPct: number])[];

/** A branch for every place of the switches that matter; places nothing was read at are left out. */
export interface Fit {
  /** Positions in the transmitter's list of controls. */
  switches: number[];
  /** By the positions of the switches, "0,2". */
  branches: Map<string, Branch>;
}

export interface Seen {
  hands: readonly number[];
  value: number;
}

/** How far off a reading may be: more where a hand was held by eye. */
export type Within = (seen: Seen) => number;

const MOST_POINTS = 17;

/** Which position of each of these switches a reading was taken at. */
export function combinationOf(
  controls: readonly Control[],
  switches: readonly number[],
  hands: readonly number[],
): string {
  return switches
    .map((s) => {
      const { kind } = controls[s]!;
      const places = Array.from({ length: positionsOf(kind) }, (_, p) =>
        Math.abs(switchValue(kind, p) - hands[s]!),
      );
      return places.indexOf(Math.min(...places));
    })
    .join();
}

/**
 * The simplest fit within a tolerance: fewest switches first, and within them fixed before straight,
 * straight before two together, two before a curve, a curve before a sum of several.
 * @returns undefined where nothing of the kind gives what was read
 */
export function fitChannel(
  controls: readonly Control[],
  seen: readonly Seen[],
  within: Within,
): Fit | undefined {
  const moved = controls.flatMap((c, i) =>
    new Set(seen.map((s) => s.hands[i])).size > 1 ? [{ i, switched: isSwitched(c) }] : [],
  );
  const switches = moved.filter((m) => m.switched).map((m) => m.i);
  const free = moved.filter((m) => !m.switched).map((m) => m.i);
  const tried: number[][] = [
    [],
    ...switches.map((s) => [s]),
    ...switches.flatMap((a, k) => switches.slice(k + 1).map((b) => [a, b])),
    ...switches.flatMap((a, k) =>
      switches.slice(k + 1).flatMap((b, m) => switches.slice(k + m + 2).map((c) => [a, b, c])),
    ),
  ];
  for (const chosen of tried) {
    const groups = new Map<string, Seen[]>();
    for (const s of seen) {
      const key = combinationOf(controls, chosen, s.hands);
      groups.set(key, [...(groups.get(key) ?? []), s]);
    }
    const branches = new Map<string, Branch>();
    for (const [key, group] of groups) {
      const branch = fitBranch(controls, free, group, within);
      if (!branch) break;
      branches.set(key, branch);
    }
    if (branches.size === groups.size) return { switches: chosen, branches };
  }
  return undefined;
}

function fitBranch(
  controls: readonly Control[],
  free: readonly number[],
  group: readonly Seen[],
  within: Within,
): Branch | undefined {
  if (!toldApart(free, group, within)) return undefined;
  const pairs = free.flatMap((a, k) => free.slice(k + 1).map((b) => [a, b]));
  for (const of of [[], ...free.map((f) => [f]), ...pairs]) {
    // Solved from what is exact, where that is enough.
    const shares =
      solved(
        of,
        group.filter((s) => within(s) < BY_EYE_PCT),
      ) ?? solved(of, group);
    if (!shares) continue;
    const [shift = 0, ...terms] = shares;
    const fits = group.every(
      (s) =>
        Math.abs(shift + of.reduce((sum, f, k) => sum + terms[k]! * s.hands[f]!, 0) - s.value) <=
        within(s),
    );
    const inRange = Math.abs(shift) <= 200 && terms.every((t) => Math.abs(t * 100) <= 200);
    if (fits && inRange)
      return {
        kind: 'shares',
        shift,
        terms: of.map((f, k) => ({ of: f, share: terms[k]! * 100 })),
      };
  }
  for (const f of free) {
    const points = new Map<number, number>();
    const single = group.every((s) => {
      const known = points.get(s.hands[f]!);
      points.set(s.hands[f]!, known ?? s.value);
      return known === undefined || Math.abs(known - s.value) <= within(s);
    });
    if (single && points.size >= 3 && points.size <= MOST_POINTS)
      return {
        kind: 'curve',
        of: f,
        points: [...points].toSorted(([a], [b]) => a - b),
      };
  }
  return summed(controls, free, group, within);
}

/** No two readings differ with the hands that count in the same places: then no curve of theirs will do. */
function toldApart(free: readonly number[], group: readonly Seen[], within: Within): boolean {
  const first = new Map<string, number>();
  return group.every((s) => {
    const key = free.map((f) => s.hands[f]).join();
    const known = first.get(key);
    if (known === undefined) first.set(key, s.value);
    return known === undefined || Math.abs(known - s.value) <= 2 * within(s);
  });
}

/** What each hand adds by itself, seen from where all of them rest; undefined where they do more together. */
function summed(
  controls: readonly Control[],
  free: readonly number[],
  group: readonly Seen[],
  within: Within,
): Branch | undefined {
  const off = (s: Seen) => free.filter((f) => s.hands[f] !== controls[f]!.rest);
  const base = group.find((s) => off(s).length === 0);
  if (!base) return undefined;
  const added = new Map<number, Map<number, number>>();
  for (const s of group) {
    const [f, ...more] = off(s);
    if (f === undefined || more.length > 0) continue;
    const points = added.get(f) ?? new Map([[controls[f]!.rest, 0]]);
    added.set(f, points.set(s.hands[f]!, s.value - base.value));
  }
  const fits = group.every((s) => {
    const parts = off(s).map((f) => added.get(f)?.get(s.hands[f]!));
    return parts.every((p) => p !== undefined)
      ? Math.abs(base.value + parts.reduce((a, b) => a + b, 0) - s.value) <= 2 * within(s)
      : false;
  });
  const terms = [...added]
    .filter(([, points]) => [...points.values()].some((v) => Math.abs(v) > within(base)))
    .map(([of, points]) => ({ of, points: [...points].toSorted(([a], [b]) => a - b) }));
  return fits && terms.every((t) => t.points.length <= MOST_POINTS)
    ? { kind: 'sum', shift: base.value, terms }
    : undefined;
}

/**
 * Least squares of value = shift + Σ share·hand, at most two hands.
 * @returns shift first; undefined where the readings do not tell the hands apart
 */
function solved(of: readonly number[], group: readonly Seen[]): number[] | undefined {
  if (group.length === 0) return undefined;
  const hands = new Matrix(group.map((s) => [1, ...of.map((f) => s.hands[f]! / 100)]));
  const svd = new SVD(hands, { autoTranspose: true });
  if (svd.rank < of.length + 1) return undefined;
  const [shift = 0, ...shares] = svd
    .solve(Matrix.columnVector(group.map((s) => s.value)))
    .to1DArray();
  return [shift, ...shares.map((s) => s / 100)];
}
