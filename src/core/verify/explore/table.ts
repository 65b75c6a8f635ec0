import { outputOf, positionsOf, switchValue, type Chain } from '../../chain';
import { readsOfLogic, type Read, type Setup } from '../../setup';
import { coneOfReads, isContinuous, remembers, type Cone } from './cone';
import { Ranges, TOUCH, type Watch } from './ranges';
import { Zones } from './zones';

/** What the program remembers: its latches and counters exactly, its clocks as a zone. */
export interface Remembered {
  bits: Int32Array;
  zone: Int32Array;
  /** How it came about: the memory before, and the box the hands were in; undefined at power-up. */
  from: { memory: number; box: Box; wait: boolean } | undefined;
}

/** Where controls stand: low and high end of each control of the cone, in its order. */
export interface Box {
  lo: Float64Array;
  hi: Float64Array;
}

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

/** Why a part of a program cannot be looked at in full, by names. */
export interface TooLarge {
  controls: string[];
  entries: string[];
}

export interface TableOptions {
  /** Boxes worked out at most. */
  limit?: number;
  /** Controls kept within bounds, by position: [low, high]. */
  within?: ReadonlyMap<number, readonly [number, number]>;
  /** What else is asked of switches, by who looks at the table. */
  alsoAsked?: readonly Read[];
  /** Called now and then; returning false gives up. */
  onProgress?: (boxes: number) => boolean;
}

export const LIMIT_BOXES = 250_000;

/** Positions of a control that are told apart, and the value that stands for all nothing asks for. */
interface Told {
  values: number[];
  other: number | undefined;
}

function positionsTold(setup: Setup, at: number, cone: Cone, alsoAsked: readonly Read[]): Told {
  const control = setup.transmitter.controls[at]!;
  const count = positionsOf(control.kind);
  const all = Array.from({ length: count }, (_, p) => p);
  const { program } = setup;
  let asked = new Set<number>();
  const take = (reads: readonly Read[]) => {
    for (const r of reads)
      if (r.kind === 'control' && r.id === control.id)
        if (r.position === undefined) asked = new Set(all);
        else asked.add(r.position);
  };
  take(alsoAsked);
  const inCone = new Set(
    cone.order.map((w) => (w.kind === 'channel' ? `c${w.channel}` : `${w.kind}${w.id}`)),
  );
  program.lines.forEach((line) => {
    if (!inCone.has(`c${line.channel}`)) return;
    if (line.source.kind === 'control' && line.source.id === control.id) asked = new Set(all);
    if (line.when) take(readsOfLogic({ id: 'x', label: 'x', op: 'when', when: line.when }));
  });
  cone.logic.forEach((i) => take(readsOfLogic(program.logic[i]!)));
  program.inputs.forEach((input) => {
    if (!inCone.has(`input${input.id}`)) return;
    for (const rate of input.rates)
      if (rate.when) take(readsOfLogic({ id: 'x', label: 'x', op: 'when', when: rate.when }));
  });
  cone.variables.forEach((i) => {
    if (program.variables[i]!.adjust?.control === control.id) asked = new Set(all);
  });
  const others = all.filter((p) => !asked.has(p));
  // Where it rests stands for the positions nobody asks for, if it is one of them.
  const rest = others.find((p) => switchValue(control.kind, p) === control.rest) ?? others[0];
  return {
    values: all.filter((p) => asked.has(p) || p === rest).map((p) => switchValue(control.kind, p)),
    other: rest === undefined ? undefined : switchValue(control.kind, rest),
  };
}

/**
 * Every reachable state of a part of a program. First what it can remember: from power-up on,
 * whatever the hands do between one moment and the next, one thing or several at once, and however
 * long they wait, until nothing new comes. Then, for everything remembered, boxes of control
 * positions that are cut until every comparison and every watched pulse is decided in each.
 */
export function tableOf(
  chain: Chain,
  cone: Cone,
  watch: readonly Watch[],
  options: TableOptions = {},
): Table {
  const { setup } = chain;
  const { limit = LIMIT_BOXES, within, alsoAsked = [], onProgress } = options;
  const carried = (channel: number) => outputOf(setup, channel);
  const remembering = cone.logic.filter((i) => remembers(setup, i));
  const inner = coneOfReads(
    setup,
    remembering.map((i) => ({ kind: 'logic', id: setup.program.logic[i]!.id, path: [] })),
  );
  const first = new Ranges(setup, inner, [], carried);
  const whole = new Ranges(setup, cone, watch, carried);
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
    told: new Map(),
    tooLarge: undefined,
  };
  let boxes = 0;
  const cuts = new Map<number, number>();
  const full = () => {
    boxes += 1;
    if (boxes % 2048 === 1 && onProgress && !onProgress(boxes)) return true;
    return boxes > limit;
  };

  const { told } = table;
  for (const at of cone.controls)
    if (!isContinuous(setup, at)) told.set(at, positionsTold(setup, at, cone, alsoAsked));
  const rootsOf = (controls: readonly number[], into: Ranges): (() => boolean) => {
    const between = controls.filter((at) => isContinuous(setup, at));
    const placed = controls.flatMap((at) => {
      if (isContinuous(setup, at)) return [];
      const bounds = within?.get(at);
      const values = told
        .get(at)!
        .values.filter((v) => !bounds || (v >= bounds[0] && v <= bounds[1]));
      return [{ at, values: bounds && values.length === 0 ? [bounds[0]] : values }];
    });
    const digits = placed.map(() => 0);
    let started = false;
    return () => {
      if (started) {
        let i = digits.length - 1;
        while (i >= 0 && ++digits[i]! >= placed[i]!.values.length) digits[i--] = 0;
        if (i < 0) return false;
      }
      started = true;
      for (const at of between) {
        const bounds = within?.get(at);
        into.lo[at] = bounds ? bounds[0] : -100;
        into.hi[at] = bounds ? bounds[1] : 100;
      }
      placed.forEach(({ at, values }, i) => {
        into.lo[at] = into.hi[at] = values[digits[i]!]!;
      });
      return true;
    };
  };
  /** Works out the box a set of ranges stands in, cut as often as it must be. @returns false: too much */
  const cutUp = (ranges: Ranges, found: () => boolean): boolean => {
    if (full()) return false;
    ranges.choices.length = 0;
    for (;;) {
      if (!ranges.run()) {
        const { control, at } = ranges.cut!;
        cuts.set(control, (cuts.get(control) ?? 0) + 1);
        const lo = ranges.lo[control]!;
        const hi = ranges.hi[control]!;
        ranges.hi[control] = at;
        if (!cutUp(ranges, found)) return false;
        ranges.lo[control] = at;
        ranges.hi[control] = hi;
        if (!cutUp(ranges, found)) return false;
        ranges.lo[control] = lo;
        return true;
      }
      if (!found()) return false;
      if (!ranges.nextChoices()) return true;
    }
  };
  const boxOf = (ranges: Ranges, controls: readonly number[]): Box => ({
    lo: Float64Array.from(controls, (at) => ranges.lo[at]!),
    hi: Float64Array.from(controls, (at) => ranges.hi[at]!),
  });
  const tooLarge = (): Table => {
    const control = (at: number) => setup.transmitter.controls[at]!.label;
    const most = [...cuts].toSorted((a, b) => b[1] - a[1]).slice(0, 2);
    table.tooLarge = {
      controls: (most.length > 0 ? most.map(([at]) => at) : cone.controls.slice(0, 6)).map(control),
      entries: remembering.slice(0, 4).map((i) => setup.program.logic[i]!.label),
    };
    return table;
  };

  // What can be remembered, and in which boxes of the controls that reach the memory.
  interface Pair {
    before: number;
    memory: number;
    box: Box;
    truth: Uint8Array;
  }
  const pairs: Pair[] = [];
  if (remembering.length === 0)
    pairs.push({
      before: 0,
      memory: 0,
      box: boxOf(first, inner.controls),
      truth: first.truth.slice(),
    });
  else {
    const byBits = new Map<number, number[]>();
    const intern = (bits: Int32Array, zone: Int32Array, from: Remembered['from']): number => {
      const key = hashOf(bits);
      const alike = byBits.get(key) ?? [];
      for (const i of alike)
        if (sameBits(memories[i]!.bits, bits) && zones.holds(memories[i]!.zone, zone)) return i;
      memories.push({ bits: bits.slice(), zone, from });
      alike.push(memories.length - 1);
      byBits.set(key, alike);
      return memories.length - 1;
    };
    byBits.set(hashOf(memories[0]!.bits), [0]);
    const seen = new Map<number, Pair[]>();
    for (let m = 0; m < memories.length; m++) {
      const memory = memories[m]!;
      first.before.set(memory.bits);
      const next = rootsOf(inner.controls, first);
      while (next()) {
        const done = cutUp(first, () => {
          const zone = memory.zone.slice();
          let wait = false;
          if (zones.size > 1) {
            zones.letTimePass(zone);
            for (let i = 0; i < first.clocks.length; i += 3) {
              const clock = first.clocks[i]!;
              zones.atLeast(zone, clock, first.clocks[i + 1]!);
              if (first.clocks[i + 2]! >= 0) zones.atMost(zone, clock, first.clocks[i + 2]!);
              else wait = true;
            }
            if (!zones.close(zone)) return true;
            for (const clock of first.resets) zones.reset(zone, clock);
            zones.widen(zone);
          }
          const box = boxOf(first, inner.controls);
          const into = intern(first.after, zone, { memory: m, box, wait });
          const key = hashOf(first.after, box.lo, box.hi);
          const alike = seen.get(key) ?? [];
          const known = alike.some(
            (p) =>
              sameBits(memories[p.memory]!.bits, first.after) &&
              same(p.box.lo, box.lo) &&
              same(p.box.hi, box.hi) &&
              same(p.truth, first.truth),
          );
          if (!known) {
            const pair = { before: m, memory: into, box, truth: first.truth.slice() };
            pairs.push(pair);
            alike.push(pair);
            seen.set(key, alike);
          }
          return pairs.length <= limit && memories.length <= limit / 10;
        });
        if (!done) return tooLarge();
      }
    }
  }

  const rest = cone.controls.filter((at) => !inner.controls.includes(at));
  whole.frozen = true;
  for (const pair of pairs) {
    for (const i of first.entries) whole.truth[i] = pair.truth[i]!;
    const next = rootsOf(rest, whole);
    const put = () => {
      inner.controls.forEach((at, i) => {
        whole.lo[at] = pair.box.lo[i]!;
        whole.hi[at] = pair.box.hi[i]!;
      });
    };
    put();
    while (next()) {
      const done = cutUp(whole, () => {
        table.cells.push({
          before: pair.before,
          memory: pair.memory,
          box: boxOf(whole, cone.controls),
          truth: whole.truth.slice(),
          us: whole.us.slice(),
        });
        return true;
      });
      if (!done) return tooLarge();
    }
  }
  return table;
}

function hashOf(...lists: readonly ArrayLike<number>[]): number {
  let h = 17;
  for (const list of lists)
    for (let i = 0; i < list.length; i++) h = (Math.imul(h, 31) + Math.round(list[i]! * 1024)) | 0;
  return h;
}

const same = (a: ArrayLike<number>, b: ArrayLike<number>): boolean => {
  for (let i = 0; i < a.length; i++) if (a[i] !== b[i]) return false;
  return true;
};
const sameBits = same;

/**
 * The cells that hold a moment: controls within, the same memory, the same outcomes.
 * @param truth outcome of every entry of logic in that moment
 */
export function cellsHolding(table: Table, controls: Float64Array, truth: Uint8Array): Cell[] {
  const near = TOUCH * 100;
  const values = table.cone.controls.map((at) => {
    const told = table.told.get(at);
    return told && !told.values.includes(controls[at]!) ? told.other! : controls[at]!;
  });
  return table.cells.filter(
    ({ box, truth: own }) =>
      values.every((v, i) => v >= box.lo[i]! - near && v <= box.hi[i]! + near) &&
      table.cone.logic.every((i) => own[i] === truth[i]),
  );
}
