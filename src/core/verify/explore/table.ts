import { outputOf, type Chain } from '../../chain';
import { readsOf, readsOfVariable, type Read } from '../../setup';
import { Boxes, positionsTold, type Bounds, type Box, type Told } from './boxes';
import { coneOfReads, isContinuous, remembers, type Cone } from './cone';
import { Interner } from './intern';
import { TOUCH } from './forms';
import { Ranges, type Watch } from './ranges';
import { reach, type Remembered } from './reach';
import { Zones } from './zones';

/** One cell of the table: everything in it behaves alike, and pulses lie within. */
export interface Cell {
  /** What was remembered before the moment, and after it. */
  before: number;
  memory: number;
  box: Box;
  /** Outcome of every entry of logic, by its position in the program. */
  truth: Uint8Array;
  /** Pulse of every watched channel as sent, low and high by turns, in microseconds. */
  us: Float64Array;
}

export interface Table {
  cone: Cone;
  /** Controls that reach what is remembered; boxes of memories are over these. */
  inner: readonly number[];
  watch: readonly Watch[];
  cells: Cell[];
  memories: Remembered[];
  /** Remembering entries by position in the program's logic, in the order of `bits`. */
  entries: readonly number[];
  zones: Zones;
  clockOf: readonly number[];
  /** Of controls with positions, by control position: which are told apart. */
  told: Map<number, Told>;
  /** What was left out because there was too much of it; undefined when nothing was. */
  tooLarge: TooLarge | undefined;
}

/** Why a part of a program cannot be checked in full, by names. */
export interface TooLarge {
  controls: string[];
  entries: string[];
}

export interface TableOptions {
  /** Boxes worked out at most. */
  limit?: number;
  /** Controls that were never moved out of these bounds, nor are now, by position: [low, high]. */
  before?: Bounds;
  /** Controls within bounds in the last moment, wherever they were before. */
  now?: Bounds;
  /** What else is asked of switches, by who looks at the table. */
  alsoAsked?: readonly Read[];
  /** Called now and then; returning false gives up. */
  onProgress?: (boxes: number) => boolean;
}

export const LIMIT_BOXES = 250_000;

/**
 * Every reachable state of a part of a program. First what it can remember; then, for everything
 * remembered, boxes of control positions that are cut until every comparison and every watched pulse
 * is decided in each.
 */
export function tableOf(
  chain: Chain,
  cone: Cone,
  watch: readonly Watch[],
  options: TableOptions = {},
): Table {
  const { setup } = chain;
  const { limit = LIMIT_BOXES, before, now, alsoAsked = [], onProgress } = options;
  const outputs = (channel: number) => outputOf(setup, channel);
  const remembering = cone.logic.filter((i) => remembers(setup, i));
  const inner = coneOfReads(
    setup,
    remembering.map((i) => ({ kind: 'logic', id: setup.program.logic[i]!.id, path: [] })),
  );
  const reads = [
    ...cone.order.flatMap((of) => readsOf(setup.program, of)),
    ...cone.variables.flatMap((i) => readsOfVariable(setup.program.variables[i]!)),
    ...alsoAsked,
  ];
  const told = new Map(
    cone.controls.flatMap((at) =>
      isContinuous(setup, at) ? [] : [[at, positionsTold(setup, at, reads)] as const],
    ),
  );
  const boxes = new Boxes(setup, told, { limit, within: before, onProgress });
  const last = new Boxes(setup, told, {
    limit,
    within: before || now ? new Map([...(before ?? []), ...(now ?? [])]) : undefined,
    onProgress,
  });
  const first = new Ranges(setup, inner, [], outputs);
  const whole = new Ranges(setup, cone, watch, outputs);
  const zones = new Zones(first.clockMost);
  const memories: Remembered[] = [
    { bits: new Int32Array(remembering.length), zone: zones.start(), from: undefined },
  ];
  const table: Table = {
    cone,
    inner: inner.controls,
    watch,
    cells: [],
    memories,
    entries: first.entries,
    zones,
    clockOf: first.clockOf,
    told,
    tooLarge: undefined,
  };

  const moments = reach(first, zones, inner.controls, boxes, memories, limit);
  const rest = cone.controls.filter((at) => !inner.controls.includes(at));
  whole.frozen = true;
  const done = moments?.every(({ before: from, memory, box, truth }) => {
    for (const i of first.entries) whole.truth[i] = truth[i]!;
    for (const [i, at] of inner.controls.entries()) {
      const bounds = now?.get(at);
      let [lo, hi] = [box.lo[i]!, box.hi[i]!];
      if (bounds) {
        const position = told.get(at);
        // One position may stand for others nothing tells from it: the one that is asked for.
        if (position && lo === position.other && !position.values.includes(bounds[0]))
          lo = hi = bounds[0];
        lo = Math.max(lo, bounds[0]);
        hi = Math.min(hi, bounds[1]);
        if (lo > hi) return true;
      }
      whole.lo[at] = lo;
      whole.hi[at] = hi;
    }
    return last.each(rest, whole, () => {
      table.cells.push({
        before: from,
        memory,
        box: last.of(whole, cone.controls),
        truth: whole.truth.slice(),
        us: whole.us.slice(),
      });
      return true;
    });
  });
  if (done) return table;
  const most = [...boxes.mostCut(), ...last.mostCut()].slice(0, 2);
  table.tooLarge = {
    controls: (most.length > 0 ? most : cone.controls.slice(0, 6)).map(
      (at) => setup.transmitter.controls[at]!.label,
    ),
    entries: remembering.slice(0, 4).map((i) => setup.program.logic[i]!.label),
  };
  return table;
}

/** Finds the cells that hold a moment: controls within, the same memory, the same outcomes. */
export function holderOf(
  table: Table,
): (controls: Float64Array, truth: Uint8Array) => readonly Cell[] {
  const near = TOUCH * 100;
  const { cone, told } = table;
  const placed = cone.controls.flatMap((at, i) => (told.has(at) ? [{ at, i }] : []));
  const between = cone.controls.flatMap((at, i) => (told.has(at) ? [] : [{ at, i }]));
  const key = new Float64Array(cone.logic.length + placed.length);
  const keyOf = (truth: Uint8Array, value: (at: number, i: number) => number) => {
    cone.logic.forEach((at, n) => (key[n] = truth[at]!));
    placed.forEach(({ at, i }, n) => (key[cone.logic.length + n] = value(at, i)));
    return key;
  };
  const kinds = new Interner();
  const byKind: Cell[][] = [];
  for (const cell of table.cells) {
    const kind = kinds.index(keyOf(cell.truth, (_, i) => cell.box.lo[i]!));
    (byKind[kind] ??= []).push(cell);
  }
  return (controls, truth) => {
    const own = keyOf(truth, (at) => {
      const { values, other } = told.get(at)!;
      return values.includes(controls[at]!) ? controls[at]! : other!;
    });
    return (byKind[kinds.index(own)] ?? []).filter(({ box }) =>
      between.every(
        ({ at, i }) => controls[at]! >= box.lo[i]! - near && controls[at]! <= box.hi[i]! + near,
      ),
    );
  };
}
