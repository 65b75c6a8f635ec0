import { compileChain, switchValue } from '../chain';
import type { PatchOperation } from '../patch';
import { combinations } from '../plan';
import {
  isSwitched,
  usualPurpose,
  type Condition,
  type Control,
  type Line,
  type Setup,
} from '../setup';
import { MOST_SWITCHES } from '../sheets';
import { changeLine, freeLineId } from './lines';

/*
 * A channel as a number for every switch position, the way some transmitters have it; two switches make a
 * table. It is a view of the first lines of a channel, as far as switches alone decide; what follows them
 * stays the lines it is. The numbers are asked of the chain, and a change is asked of it as well.
 */

export interface Cell {
  /** A position of each switch of the table, in its order. */
  places: number[];
  pct: number;
}

export interface ValueTable {
  channel: number;
  switches: Control[];
  cells: Cell[];
  /** Lines the table stands for. */
  lines: Line[];
  /** Lines after it, which no table says. */
  rest: Line[];
}

/** Switches a condition looks at; undefined where it looks at something else as well. */
function switchesIn(condition: Condition): string[] | undefined {
  switch (condition.kind) {
    case 'switch':
      return [condition.control];
    case 'logic':
      return undefined;
    case 'not':
      return switchesIn(condition.of);
    default: {
      const parts = condition.of.map(switchesIn);
      return parts.some((p) => p === undefined) ? undefined : parts.flatMap((p) => p!);
    }
  }
}

/** Switches that alone decide what a line gives; undefined where something else has a part in it. */
function decidedBy({ transmitter }: Setup, { follows, when }: Line): string[] | undefined {
  const own = when ? switchesIn(when) : [];
  if (!own) return undefined;
  if (follows.kind === 'fixed') return own;
  const control = follows.kind === 'control' ? follows.id : undefined;
  const switched = transmitter.controls.some((c) => c.id === control && isSwitched(c));
  return switched ? [control!, ...own] : undefined;
}

/** The table of a channel's first lines; without cells where something that turns comes first. */
export function valueTable(setup: Setup, channel: number): ValueTable {
  const own = setup.program.lines.filter((l) => l.channel === channel);
  const switches = new Set<string>();
  let count = 0;
  for (const line of own) {
    const by = decidedBy(setup, line);
    // What has another aim, panic say, is proved by itself: it stays a line of its own.
    if (line.purpose !== own[0]!.purpose) break;
    if (!by || new Set([...switches, ...by]).size > MOST_SWITCHES) break;
    for (const id of by) switches.add(id);
    count += 1;
  }
  const lines = own.slice(0, count);
  // In the order of the transmitter: the table is the same however its lines came about.
  const columns = setup.transmitter.controls.filter((c) => switches.has(c.id));
  return {
    channel,
    switches: columns,
    cells: lines.length > 0 ? cellsOf(setup, channel, lines, columns) : [],
    lines,
    rest: own.slice(count),
  };
}

/** What these lines put on their channel at every combination, asked of the chain. */
function cellsOf(
  setup: Setup,
  channel: number,
  lines: readonly Line[],
  switches: readonly Control[],
): Cell[] {
  const others = setup.program.lines.filter((l) => l.channel !== channel);
  const chain = compileChain({
    ...setup,
    program: { ...setup.program, lines: [...others, ...lines] },
  });
  const frame = chain.newFrame();
  return combinations(setup, idsOf(switches)).map(({ positions: places }) => {
    const stimulus = chain.restStimulus();
    places.forEach((p, i) => {
      const { id, kind } = switches[i]!;
      stimulus.controls[chain.layout.controls.get(id)!] = switchValue(kind, p);
    });
    chain.step(stimulus, chain.newMemory(), frame);
    return { places, pct: Math.round(frame.channelsPct[channel - 1]! * 1000) / 1000 };
  });
}

/** One value of the table changed: by the one line that gives it and no other, or the table is written again. */
export function putCell(
  setup: Setup,
  channel: number,
  places: readonly number[],
  pct: number,
): PatchOperation[] {
  const table = valueTable(setup, channel);
  const wanted = table.cells.map((c) => (c.places.join() === places.join() ? { ...c, pct } : c));
  const before = table.cells.find((c) => c.places.join() === places.join());
  if (!before || before.pct === pct) return [];
  for (const line of table.lines) {
    const sharePct = Math.round((line.sharePct + pct - before.pct) * 1000) / 1000;
    const changed = table.lines.map((l) => (l === line ? { ...l, sharePct } : l));
    if (line.follows.kind === 'fixed' && !line.shape)
      if (same(cellsOf(setup, channel, changed, table.switches), wanted))
        return changeLine(setup, line.id, { sharePct });
  }
  return written(setup, table, table.switches, wanted);
}

const idsOf = (switches: readonly Control[]) => switches.map((s) => s.id);

const same = (a: readonly Cell[], b: readonly Cell[]): boolean =>
  a.every((cell, i) => Math.abs(cell.pct - b[i]!.pct) < 1e-6);

/**
 * The table over other switches: a value is taken over from where the switches both have stand alike, and
 * from the first position of those that go.
 */
export function putSwitches(
  setup: Setup,
  channel: number,
  ids: readonly string[],
): PatchOperation[] {
  const table = valueTable(setup, channel);
  const switches = setup.transmitter.controls.filter((c) => ids.includes(c.id));
  const at = (places: readonly number[]) => {
    const place = (c: Control) => {
      const column = switches.indexOf(c);
      return column < 0 ? 0 : places[column]!;
    };
    const own = table.switches.map(place);
    return table.cells.find((c) => c.places.join() === own.join())?.pct ?? 0;
  };
  const cells = combinations(setup, idsOf(switches)).map(({ positions: places }) => ({
    places,
    pct: at(places),
  }));
  return written(setup, table, switches, cells);
}

/** The lines of a table: its first value always, and a line for every other, so that each is changed by itself. */
function written(
  setup: Setup,
  { channel, lines, rest }: ValueTable,
  switches: readonly Control[],
  cells: readonly Cell[],
): PatchOperation[] {
  const { carries } = setup.program.outputs.find((o) => o.channel === channel)!;
  const purpose = lines[0]?.purpose ?? usualPurpose(carries);
  const conditions = combinations(setup, idsOf(switches));
  const taken = new Set<string>();
  // A note stays with the line that takes the place of its line; a name may tell the old value.
  const notedAt = (i: number): Pick<Line, 'note'> => {
    const note = lines[i]?.note;
    return note ? { note } : {};
  };
  const nameOf = (i: number): string => {
    const id = lines[i]?.id ?? freeLineId(setup, `table-${channel}`, taken);
    taken.add(id);
    return id;
  };
  const fresh = cells.map(({ pct }, i): Line => ({
    id: nameOf(i),
    ...notedAt(i),
    channel,
    follows: { kind: 'fixed' },
    sharePct: pct,
    shiftPct: 0,
    ...(i === 0 ? {} : { when: conditions[i]!.when }),
    effect: i === 0 ? 'adds' : 'takes-over',
    purpose,
  }));
  const others = setup.program.lines.filter((l) => l.channel !== channel);
  const behind = setup.program.lines.findLastIndex((l) => l.channel < channel);
  const before = setup.program.lines.findIndex((l) => l.channel === channel);
  const place = before < 0 ? behind + 1 : before;
  const kept = others.filter((l) => setup.program.lines.indexOf(l) < place).length;
  return [
    {
      op: 'replace',
      path: '/program/lines',
      value: others.toSpliced(kept, 0, ...fresh, ...rest),
    },
  ];
}
