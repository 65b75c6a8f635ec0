import type { Mode, Setup } from '../setup';
import {
  factsOf,
  easiestIn,
  placesIn,
  Stage,
  tableFor,
  type Facts,
  type Moment,
  type UnitState,
} from './engine';
import {
  Interner,
  memoryOf,
  ordersReader,
  pathTo,
  remembers,
  type Orders,
  type Table,
  type TableOptions,
} from './explore';
import type { Witness } from './finding';
import {
  LOST_SCRIPTS,
  lostAnswer,
  orderScope,
  panicAnswer,
  panicScripts,
  type Lost,
  type PanicAnswer,
} from './requirements';
import { witnessOf } from './witness';

/** One cell of the table of the unit's orders, for reading. */
export interface ProofRow {
  /** A value of each control that matters, in the order of `Proof.controls`, and how far it may go. */
  values: number[];
  lo: number[];
  hi: number[];
  /** Logic that remembers something and is true here. */
  remembered: string[];
  mode: Mode;
  slot: number;
  /** Most gain of roll, pitch and yaw in it, and least. */
  gainPct: [number, number, number];
  gainLoPct: [number, number, number];
  recovering: boolean;
  /** What happens from here when panic is pressed; absent where it acts already or is none. */
  panic: PanicAnswer | undefined;
  /** What the unit does when the signal is lost here. */
  lost: Pick<Lost, 'mode' | 'own'>;
}

/** Rows made for reading; of a larger table the first. */
const MOST_ROWS = 20_000;
const IN_USE: UnitState = { armed: true, positionFix: true, recoveryHeldS: 0 };

export const ordersTable = (
  facts: Facts,
  options: Pick<TableOptions, 'onProgress' | 'limit'> = {},
): Table => tableFor(facts, orderScope(facts), options);

/** What the unit makes of its orders, row by row: a report of the chain, which judges nothing. */
export function rowsOf(facts: Facts, table: Table): ProofRow[] {
  if (table.tooLarge) return [];
  const { setup } = facts;
  const read = ordersReader(facts.chain, table);
  const stage = new Stage(facts);
  const scope = orderScope(facts);
  const panic =
    facts.panic && answers(stage, (seen) => panicAnswer(facts, seen), panicScripts(facts));
  const lost = answers(stage, (seen) => lostAnswer(facts, seen), LOST_SCRIPTS);
  return table.cells.slice(0, MOST_ROWS).map((cell): ProofRow => {
    const orders: Orders = read(cell);
    const memory = memoryOf(facts.chain, table, cell.memory);
    const places = Array.from(placesIn(facts, table, cell, scope, -1), (p) => p.slice());
    const easy = easiestIn(facts, table, cell);
    const put = (hands: Float64Array): Moment => stage.put(hands, memory, IN_USE);
    const now = put(easy);
    const own = lost(now);
    const pressed = panic && !now.panicking;
    return {
      values: table.cone.controls.map((at) => easy[at]!),
      lo: [...cell.box.lo],
      hi: [...cell.box.hi],
      remembered: setup.program.logic.flatMap((entry, i) =>
        cell.truth[i] === 1 && table.cone.logic.includes(i) && remembers(setup, i)
          ? [entry.label]
          : [],
      ),
      mode: orders.mode,
      slot: orders.slot,
      gainPct: [orders.gainHi[0]!, orders.gainHi[1]!, orders.gainHi[2]!],
      gainLoPct: [orders.gainLo[0]!, orders.gainLo[1]!, orders.gainLo[2]!],
      recovering: orders.recovering,
      panic: pressed ? worst(places.map((hands) => panic(put(hands)))) : undefined,
      lost: { mode: own.mode, own: own.own },
    };
  });
}

/** The answer in the place of a cell at which panic does least. */
const worst = (list: readonly PanicAnswer[]): PanicAnswer =>
  list.find((a) => !a.righted) ??
  list.reduce((a, b) => (b.gainPct < a.gainPct || b.afterMs > a.afterMs ? b : a));

/** What scripts give from the state on a stage; asked once for states in which the same pulses arrive. */
function answers<T>(
  stage: Stage,
  of: (seen: readonly Moment[]) => T,
  scripts: Parameters<Stage['play']>[0],
): (now: Moment) => T {
  const keys = new Interner();
  const known: T[] = [];
  return ({ frame }) => {
    const key = keys.index([...stage.playKey(scripts), frame.recovering ? 1 : 0]);
    return (known[key] ??= of(stage.play(scripts)));
  };
}

/** The way to a row of the table, worked out when somebody wants to see it. @param row its place in `rows` */
export function witnessOfRow(setup: Setup, row: number, words: string): Witness | undefined {
  const facts = factsOf(setup);
  const table = ordersTable(facts);
  const cell = table.cells[row];
  return cell && witnessOf(setup, pathTo(facts.chain, table, cell), words);
}
