import { controlWords, type Chain } from '../chain';
import type { Read, Setup } from '../setup';
import {
  actingLogic,
  chainOf,
  coneOf,
  coneOfReads,
  cornersOf,
  easiest,
  isContinuous,
  keptTable,
  memoryOf,
  ordersReader,
  panicControlOf,
  pathTo,
  Stand,
  watchOf,
  type Cell,
  type Corner,
  type Move,
  type Orders,
  type PanicControl,
  type Table,
  type TableOptions,
} from './explore';
import type { Witness } from './finding';
import { witnessOf } from './witness';

/** A cell of the table of the unit's orders, with what the unit makes of it. */
export interface OrderCell extends Orders {
  cell: Cell;
  /** Panic is pressed, or what it set going has not let go yet. */
  panicking: boolean;
  /** Launch help is on. */
  launching: boolean;
}

/** Everything requirements ask of one Setup, each part worked out when it is first wanted. */
export class Asked {
  readonly chain: Chain;
  readonly stand: Stand;
  readonly panic: PanicControl | undefined;
  /** Entries of logic that switch launch help, by position. */
  readonly launchLogic: readonly number[];
  private readonly easy: Corner;
  private readonly rest: Float64Array;
  private readonly place: Float64Array;
  private ordersTable: Table | undefined;
  private cells: OrderCell[] | undefined;

  constructor(
    readonly setup: Setup,
    private readonly options: Pick<TableOptions, 'onProgress' | 'limit'> = {},
  ) {
    this.chain = chainOf(setup);
    this.stand = new Stand(this.chain);
    this.panic = panicControlOf(setup);
    this.launchLogic = actingLogic(setup, 'launch');
    this.easy = easiest(setup);
    this.rest = this.chain.restStimulus().controls;
    this.place = this.rest.slice();
  }

  /** The table of some channels (1-based). */
  table(channels: readonly number[], options: Pick<TableOptions, 'within'> = {}): Table {
    const watch = channels.map((channel) => ({ at: channel - 1, cutsUs: [] }));
    return keptTable(this.setup, coneOf(this.setup, channels), watch, {
      ...this.options,
      ...options,
    });
  }

  /** The table of everything that tells the unit what to do. */
  get orders(): Table {
    this.ordersTable ??= this.ordersWith([]);
    return this.ordersTable;
  }

  /** Its cells, with what the unit makes of them. Empty when there are too many. */
  get orderCells(): readonly OrderCell[] {
    this.cells ??= this.read(this.orders);
    return this.cells;
  }

  /** The cells of a table of the orders, with what the unit makes of them. Empty when there are too many. */
  read(table: Table): OrderCell[] {
    const { setup, panic } = this;
    if (table.tooLarge) return [];
    const read = ordersReader(this.chain, table);
    const panicLogic = actingLogic(setup, 'panic');
    const at = panic ? table.cone.controls.indexOf(panic.at) : -1;
    return table.cells.map((cell) => ({
      cell,
      ...read(cell),
      panicking:
        (at >= 0 && cell.box.lo[at] === panic!.value) ||
        panicLogic.some((i) => cell.truth[i] === 1 && readsPanic(setup, i, panic)),
      launching: this.launchLogic.some((i) => cell.truth[i] === 1),
    }));
  }

  /** The table of the orders together with whatever else some reads look at. */
  ordersWith(reads: readonly Read[]): Table {
    const watch = watchOf(this.setup);
    const channels = watch.map((w): Read => ({ kind: 'channel', channel: w.at + 1, path: [] }));
    return keptTable(this.setup, coneOfReads(this.setup, [...channels, ...reads]), watch, {
      ...this.options,
      alsoAsked: reads,
    });
  }

  /** Puts the stand into a cell, at one of its corners. */
  into(table: Table, { box, memory }: Cell, corner: Corner = this.easy): Stand {
    const { place } = this;
    place.set(this.rest);
    const { controls } = table.cone;
    for (let i = 0; i < controls.length; i++)
      place[controls[i]!] = corner(controls[i]!, box.lo[i]!, box.hi[i]!);
    return this.stand.put(place, memoryOf(this.chain, table, memory));
  }

  /**
   * Corners of a cell of the orders at which anything can differ: sticks only where they reach the
   * pulses and are not merely compared with something.
   */
  corners({ cell }: OrderCell): Corner[] {
    const { us } = cell;
    let varies = false;
    for (let i = 0; i < us.length; i += 2) varies ||= us[i] !== us[i + 1];
    const { controls } = this.orders.cone;
    return cornersOf(this.setup, cell, controls, -1, (at) => varies || !this.isStick(at));
  }

  isStick(at: number): boolean {
    return this.setup.transmitter.controls[at]!.kind === 'stick';
  }

  /** A cell of the orders in words: its switches, and what is remembered. */
  words({ cell }: OrderCell, orders = this.orders): string {
    const { setup } = this;
    const words = orders.cone.controls.flatMap((at, k) => {
      const control = setup.transmitter.controls[at]!;
      if (isContinuous(setup, at)) return [];
      const value = cell.box.lo[k]!;
      const idle = control.kind === 'momentary' && value === control.rest;
      return idle ? [] : [controlWords(control, value)];
    });
    const remembered = setup.program.logic.flatMap((entry, i) =>
      orders.entries.includes(i) && cell.truth[i] === 1 ? [entry.label] : [],
    );
    return [...words, ...remembered].join(', ') || 'everything at rest';
  }

  /** The way to a cell, with more moves after it, as a witness. */
  witness(
    table: Table,
    cell: Cell,
    words: string,
    { corner, then = [] }: { corner?: Corner; then?: readonly Move[] } = {},
  ): Witness {
    return witnessOf(this.setup, pathTo(this.chain, table, cell, corner), words, ...then);
  }
}

const logicCones = new WeakMap<Setup, Map<number, readonly number[]>>();

/** Whether an entry of logic has to do with the panic control at all. */
function readsPanic(setup: Setup, logic: number, panic: PanicControl | undefined): boolean {
  if (!panic) return false;
  const at = coneOfLogic(setup, logic);
  return at.includes(panic.at);
}

function coneOfLogic(setup: Setup, logic: number): readonly number[] {
  const known = logicCones.get(setup) ?? new Map<number, readonly number[]>();
  logicCones.set(setup, known);
  const found =
    known.get(logic) ??
    coneOfReads(setup, [{ kind: 'logic', id: setup.program.logic[logic]!.id, path: [] }]).controls;
  known.set(logic, found);
  return found;
}
