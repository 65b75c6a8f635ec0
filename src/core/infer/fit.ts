import { Matrix, SVD } from 'ml-matrix';
import { positionsOf, switchValue } from '../chain';
import type { Control } from '../setup';

/** What one channel does with the switches that matter standing still. */
export type Branch =
  | { kind: 'shares'; shift: number; terms: { of: number; share: number }[] }
  | { kind: 'curve'; of: number; points: (readonly [inPct: number, outPct: number])[] };

/** A branch for every place of the switches that matter; places nothing was read at are left out. */
export interface Fit {
  /** Positions in the transmitter's list of controls. */
  switches: number[];
  /** By the positions of the switches, "0,2". */
  branches: Map<string, Branch>;
}

interface Seen {
  hands: readonly number[];
  value: number;
}

const SWITCHED = new Set(['switch-2', 'switch-3', 'momentary']);
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
 * straight before two together, two before a curve.
 * @returns undefined where nothing of the kind gives what was read
 */
export function fitChannel(
  controls: readonly Control[],
  seen: readonly Seen[],
  within: number,
): Fit | undefined {
  const moved = controls.flatMap((c, i) =>
    new Set(seen.map((s) => s.hands[i])).size > 1 ? [{ i, switched: SWITCHED.has(c.kind) }] : [],
  );
  const switches = moved.filter((m) => m.switched).map((m) => m.i);
  const free = moved.filter((m) => !m.switched).map((m) => m.i);
  const tried: number[][] = [
    [],
    ...switches.map((s) => [s]),
    ...switches.flatMap((a, k) => switches.slice(k + 1).map((b) => [a, b])),
  ];
  for (const chosen of tried) {
    const groups = new Map<string, Seen[]>();
    for (const s of seen) {
      const key = combinationOf(controls, chosen, s.hands);
      groups.set(key, [...(groups.get(key) ?? []), s]);
    }
    const branches = new Map<string, Branch>();
    for (const [key, group] of groups) {
      const branch = fitBranch(free, group, within);
      if (branch) branches.set(key, branch);
    }
    if (branches.size === groups.size) return { switches: chosen, branches };
  }
  return undefined;
}

function fitBranch(
  free: readonly number[],
  group: readonly Seen[],
  within: number,
): Branch | undefined {
  const pairs = free.flatMap((a, k) => free.slice(k + 1).map((b) => [a, b]));
  for (const of of [[], ...free.map((f) => [f]), ...pairs]) {
    const shares = solved(of, group);
    if (!shares) continue;
    const [shift = 0, ...terms] = shares;
    const fits = group.every(
      (s) =>
        Math.abs(shift + of.reduce((sum, f, k) => sum + terms[k]! * s.hands[f]!, 0) - s.value) <=
        within,
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
      return known === undefined || Math.abs(known - s.value) <= within;
    });
    if (single && points.size >= 3 && points.size <= MOST_POINTS)
      return {
        kind: 'curve',
        of: f,
        points: [...points].toSorted(([a], [b]) => a - b),
      };
  }
  return undefined;
}

/**
 * Least squares of value = shift + Σ share·hand, at most two hands.
 * @returns shift first; undefined where the readings do not tell the hands apart
 */
function solved(of: readonly number[], group: readonly Seen[]): number[] | undefined {
  const hands = new Matrix(group.map((s) => [1, ...of.map((f) => s.hands[f]! / 100)]));
  const svd = new SVD(hands, { autoTranspose: true });
  if (svd.rank < of.length + 1) return undefined;
  const [shift = 0, ...shares] = svd
    .solve(Matrix.columnVector(group.map((s) => s.value)))
    .to1DArray();
  return [shift, ...shares.map((s) => s / 100)];
}
