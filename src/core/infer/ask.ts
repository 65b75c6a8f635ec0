import { positionsOf, switchValue } from '../chain';
import { isSwitched, type Control, type Transmitter } from '../setup';
import { byEye, HALF_WAY_PCT } from '../sheets';
import { randomOf } from '../dice';
import { coveringRows } from './design';
import { controlsIn, explain, positionAt, predict, SAME_PCT, type Seen, type Tree } from './tree';

/** Where the controls are and what the monitor showed then. */
export interface Reading {
  /** Value of each control that was not at rest, by id. */
  controls: Readonly<Record<string, number>>;
  /** Percent of each channel, the first one first; undefined where nothing was read. */
  channels: readonly (number | undefined)[];
}

/** Controls to be moved, by id; all others rest. */
export type Posture = Readonly<Record<string, number>>;

/** The next row of readings, and how many there will be. */
export interface Asking {
  /** Rows that are known already, the next one first. */
  rows: Posture[];
  least: number;
  most: number;
  /** Why there are more than was said before. */
  because?: string;
}

/** The usual upper limit of rows. */
export const USUAL_ROWS = 20;
/** Rows beyond the planned ones that must confirm what was found. */
const PROOF_ROWS = 3;
/** Places tried for the one that tells most apart. */
const CANDIDATES = 300;
/** A program that is not settled by then is put together by hand. */
const MOST_ROWS = 60;

/** What moves by hand; trims stay where they are. */
export const handControls = (transmitter: Transmitter): Control[] =>
  transmitter.controls.filter((c) => c.kind !== 'trim');

const designs = new Map<string, number[][]>();
/** Transmitters whose rows are kept. */
const MOST_DESIGNS = 8;

/** By what its controls are: a copy that came from elsewhere has the same rows. */
function designOf(transmitter: Transmitter): number[][] {
  const controls = handControls(transmitter);
  const key = JSON.stringify(controls.map((c) => [c.id, c.kind, c.rest]));
  const known = designs.get(key);
  if (known) return known;
  if (designs.size >= MOST_DESIGNS) designs.clear();
  const rows = coveringRows(controls);
  designs.set(key, rows);
  return rows;
}

/** What each channel is found to do so far. */
export interface Known {
  channel: number;
  seen: Seen[];
  /** Those of its trees that give different values somewhere. */
  trees: Tree[];
}

/** By the list of readings; a list that has grown is worked out again. */
const known = new WeakMap<
  readonly Reading[],
  { of: Transmitter; count: number; channels: Known[] }
>();

/** Each channel with what it may be, by everything read. */
export function knownOf(transmitter: Transmitter, readings: readonly Reading[]): Known[] {
  const before = known.get(readings);
  if (before?.of === transmitter && before.count === readings.length) return before.channels;
  const controls = handControls(transmitter);
  const hands = readings.map((r) => controls.map((c) => r.controls[c.id] ?? c.rest));
  const count = Math.max(0, ...readings.map((r) => r.channels.length));
  const probes = candidatesOf(controls, 1, new Set(controls.keys()));
  const channels = Array.from({ length: count }, (_, at): Known => {
    const seen = readings.flatMap((r, i) => {
      const value = r.channels[at];
      return value === undefined ? [] : [{ hands: hands[i]!, value }];
    });
    const trees = new Map<string, Tree>();
    for (const tree of (seen.length > 0 && explain(controls, seen)?.trees) || [])
      trees.set(probes.map((p) => Math.round(predict(controls, tree, p) / 2)).join(), tree);
    return { channel: at + 1, seen, trees: [...trees.values()] };
  });
  known.set(readings, { of: transmitter, count: readings.length, channels });
  return channels;
}

/**
 * What to read next of a transmitter that is already programmed. First rows in which every two positions
 * occur together once; then rows on which the remaining programs of a channel differ; at last rows that must
 * confirm what was found.
 * @returns no rows where there is nothing left to ask
 */
export function asking(transmitter: Transmitter, readings: readonly Reading[]): Asking {
  const controls = handControls(transmitter);
  const read = new Set(readings.map((r) => keyOf(controls, r.controls)));
  const design = designOf(transmitter)
    .map((row) => namedOf(controls, row))
    .filter((row) => !read.has(keyOf(controls, row)));
  const done = readings.length;
  if (design.length > 0)
    return {
      rows: design,
      least: design.length + 1,
      most: Math.max(USUAL_ROWS - done, design.length + 1),
    };
  const channels = knownOf(transmitter, readings);
  const next = nextOf(transmitter, channels, done);
  if (!next || done >= MOST_ROWS) return { rows: [], least: 0, most: 0 };
  const row = namedOf(controls, next.row);
  if (read.has(keyOf(controls, row))) return { rows: [], least: 0, most: 0 };
  return done < USUAL_ROWS
    ? { rows: [row], least: 1, most: USUAL_ROWS - done }
    : { rows: [row], least: 1, most: next.most, because: next.because };
}

const keyOf = (controls: readonly Control[], hands: Posture): string =>
  controls.map(({ id, rest }) => Math.round(hands[id] ?? rest)).join();

const namedOf = (controls: readonly Control[], row: readonly number[]): Posture =>
  Object.fromEntries(
    controls.flatMap((c, i) => (row[i] === c.rest ? [] : [[c.id, row[i]!] as const])),
  );

interface Next {
  row: number[];
  most: number;
  because: string;
}

function nextOf(
  transmitter: Transmitter,
  channels: readonly Known[],
  done: number,
): Next | undefined {
  const controls = handControls(transmitter);
  const open = channels.filter((c) => c.trees.length > 1);
  if (open.length > 0) {
    const row = mostTelling(controls, open, done);
    if (row)
      return {
        row,
        most: open.reduce((n, c) => n + Math.ceil(Math.log2(c.trees.length)), 0),
        because: `channel ${open[0]!.channel} may still be ${open[0]!.trees.length} different things`,
      };
  }
  const settled = channels.filter((c) => c.trees.length === 1);
  const wanted = settled.flatMap((c) =>
    missing(controls, c).map((w) => ({ ...w, channel: c.channel })),
  );
  if (wanted.length > 0)
    return {
      row: joined(controls, wanted),
      most: wanted.length,
      because: `channel ${wanted[0]!.channel} follows ${controls[wanted[0]!.of]!.label} in more positions than were read`,
    };
  // At last rows that must confirm it, as unlike all others as possible.
  const needsProof = done < designOf(transmitter).length + PROOF_ROWS;
  const row = needsProof ? unlike(controls, settled, done) : undefined;
  return row && { row, most: 1, because: 'one more row must confirm the result' };
}

/** Places of everything that some channel depends on, at random but the same every time. */
function candidatesOf(
  controls: readonly Control[],
  seed: number,
  relevant: ReadonlySet<number>,
  between: readonly number[] = [-HALF_WAY_PCT, HALF_WAY_PCT],
): number[][] {
  const random = randomOf(seed);
  return Array.from({ length: CANDIDATES }, () =>
    controls.map((c, i) => {
      if (!relevant.has(i)) return c.rest;
      const levels = isSwitched(c)
        ? Array.from({ length: positionsOf(c.kind) }, (_, p) => switchValue(c.kind, p))
        : [c.rest, -100, 100, ...between];
      // Half of all controls rest: less to move, and what overrides others stays out of the way.
      return random() < 0.5 ? c.rest : levels[Math.floor(random() * levels.length)]!;
    }),
  );
}

/** The row on which the remaining programs differ most; among equals the one that moves least. */
function mostTelling(
  controls: readonly Control[],
  open: readonly Known[],
  seed: number,
): number[] | undefined {
  const relevant = new Set(open.flatMap((c) => c.trees.flatMap(controlsIn)));
  const scored = candidatesOf(controls, seed, relevant).map((row) => ({
    row,
    told: open.reduce((n, c) => {
      const values = c.trees.map((t) => predict(controls, t, row)).toSorted((a, b) => a - b);
      return n + values.filter((v, i) => i > 0 && v - values[i - 1]! > 6 * SAME_PCT).length;
    }, 0),
    moves: row.filter((v, i) => v !== controls[i]!.rest).length,
    held: row.filter((v, i) => byEye(controls[i]!, v)).length,
  }));
  const best = scored.reduce((a, b) =>
    b.told > a.told || (b.told === a.told && b.held * 4 + b.moves < a.held * 4 + a.moves) ? b : a,
  );
  return best.told > 0 ? best.row : undefined;
}

/** A control to be moved while the switches select the branch it counts in. */
interface Wanted {
  of: number;
  value: number;
  /** Position of each switch that must stand somewhere. */
  at: ReadonlyMap<number, number>;
}

/** What was not read of the sticks, knobs and sliders that a channel follows: both ends and between, in each branch. */
function missing(controls: readonly Control[], { seen, trees }: Known): Wanted[] {
  const found: Wanted[] = [];
  const walk = (tree: Tree, rows: readonly Seen[], at: ReadonlyMap<number, number>): void => {
    if (tree.kind === 'split') {
      const control = controls[tree.of]!;
      const is = (r: Seen) => positionAt(control, r.hands[tree.of]!) === tree.position;
      walk(tree.at, rows.filter(is), new Map(at).set(tree.of, tree.position));
      const rest = rows.filter((r) => !is(r));
      const elsewhere = rest.length > 0 ? positionAt(control, rest[0]!.hands[tree.of]!) : undefined;
      walk(
        tree.other,
        rest,
        elsewhere === undefined || at.has(tree.of) ? at : new Map(at).set(tree.of, elsewhere),
      );
      return;
    }
    const follows = tree.kind === 'points' ? [tree.of] : tree.terms.map((t) => t.of);
    for (const of of follows) {
      const values = rows.map((r) => r.hands[of]!);
      if (!values.some((v) => v <= -99)) found.push({ of, value: -100, at });
      if (!values.some((v) => v >= 99)) found.push({ of, value: 100, at });
      if (!values.some((v) => Math.abs(v) > 20 && Math.abs(v) < 90))
        found.push({ of, value: HALF_WAY_PCT, at });
    }
  };
  walk(trees[0]!, seen, new Map());
  return found;
}

/** As many of them as fit into one row. */
function joined(controls: readonly Control[], wanted: readonly Wanted[]): number[] {
  const row = new Map<number, number>();
  for (const { of, value, at } of wanted) {
    const needs = new Map([...at].map(([s, p]) => [s, switchValue(controls[s]!.kind, p)]));
    needs.set(of, value);
    if ([...needs].every(([i, v]) => (row.get(i) ?? v) === v))
      for (const [i, v] of needs) row.set(i, v);
  }
  return controls.map((c, i) => row.get(i) ?? c.rest);
}

/** The row least like all that was read, in what the channels depend on. */
function unlike(
  controls: readonly Control[],
  channels: readonly Known[],
  seed: number,
): number[] | undefined {
  const relevant = [...new Set(channels.flatMap((c) => controlsIn(c.trees[0]!)))];
  const rows = channels[0]?.seen.map((s) => s.hands) ?? [];
  const distance = (row: readonly number[]) =>
    Math.min(...rows.map((r) => relevant.filter((i) => r[i] !== row[i]).length));
  const exact = candidatesOf(controls, seed + 7, new Set(relevant), []);
  const best = exact.reduce((a, b) => (distance(b) > distance(a) ? b : a));
  return distance(best) > 0 ? best : undefined;
}
