import { type Mode, type Setup } from '../setup';
import { Asked, type OrderCell } from './asked';
import type { Failure, Outcome, Witness } from './finding';
import {
  isContinuous,
  listening,
  remembers,
  type PanicControl,
  type TableOptions,
} from './explore';
import { outcomeOf } from './outcomes';
import {
  lostOf,
  offPositions,
  panicOf,
  REQUIREMENTS,
  type Lost,
  type PanicAnswer,
} from './requirements';

/** One requirement, and what looking came to. */
export interface Result extends Outcome {
  id: string;
  title: string;
  must: string;
  from: string;
}

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
  /** What the unit does when the link goes here. */
  lost: Pick<Lost, 'mode' | 'own'>;
}

/** Every requirement held against every reachable state, and how much was looked at. */
export interface Proof {
  results: Result[];
  rows: ProofRow[];
  /** Controls of the columns, by id. */
  controls: string[];
  /** Cells of the orders' table, and combinations there would be without partition and cones. */
  visited: number;
  unreduced: number;
  /** Nothing was left out. */
  complete: boolean;
  panic: PanicControl | undefined;
  /** Single positions that switch all stabilization off wherever everything else stands. */
  masterOff: { control: string; value: number }[];
}

/** Rows made for reading; of a larger table the first. */
const MOST_ROWS = 20_000;

/** How far to look, and who is told. */
export type ProofOptions = Pick<TableOptions, 'onProgress' | 'limit'>;

/** Holds every requirement against a Setup. */
export function prove(setup: Setup, options: ProofOptions = {}): Proof {
  const heard = listening(options.onProgress);
  const asked = new Asked(setup, { ...options, ...heard.options });
  const results = REQUIREMENTS.filter((r) => r.applies(setup)).map((requirement): Result => {
    const { id, title, must, from } = requirement;
    const { failures, states, leftOut } = outcomeOf(setup, requirement, options.limit, () => ({
      outcome: requirement.check(asked),
      gaveUp: heard.gaveUp(),
    }));
    return { id, title, must, from, failures, states, leftOut };
  });
  const { orders } = asked;
  return {
    results,
    rows: rowsOf(asked),
    controls: orders.cone.controls.map((at) => setup.transmitter.controls[at]!.id),
    visited: orders.cells.length,
    unreduced: unreducedCount(setup),
    complete: orders.tooLarge === undefined && results.every((r) => r.leftOut.length === 0),
    panic: asked.panic,
    masterOff: offPositions(asked),
  };
}

function rowsOf(asked: Asked): ProofRow[] {
  const { setup, orders } = asked;
  return asked.orderCells.slice(0, MOST_ROWS).map((c): ProofRow => {
    const { controls } = asked.into(orders, c.cell).state();
    const lost = lostOf(asked, c);
    return {
      values: orders.cone.controls.map((at) => controls[at]!),
      lo: [...c.cell.box.lo],
      hi: [...c.cell.box.hi],
      remembered: setup.program.logic.flatMap((entry, i) =>
        c.cell.truth[i] === 1 && orders.cone.logic.includes(i) && remembers(setup, i)
          ? [entry.label]
          : [],
      ),
      mode: c.mode,
      slot: c.slot,
      gainPct: [c.gainHi[0]!, c.gainHi[1]!, c.gainHi[2]!],
      gainLoPct: [c.gainLo[0]!, c.gainLo[1]!, c.gainLo[2]!],
      recovering: c.recovering,
      panic: asked.panic && !c.panicking ? worstPanic(asked, c) : undefined,
      lost: { mode: lost.mode, own: lost.own },
    };
  });
}

/** What panic does from the corner of a cell at which it does least. */
function worstPanic(asked: Asked, c: OrderCell): PanicAnswer {
  const answers = asked.corners(c).map((corner) => panicOf(asked, c, corner));
  return (
    answers.find((a) => !a.righted) ??
    answers.reduce((a, b) => (b.gainPct < a.gainPct || b.afterMs > a.afterMs ? b : a))
  );
}

/** All positions of switches, ends and middles of everything else, all memory, link up and down. */
export function unreducedCount(setup: Setup): number {
  const controls = setup.transmitter.controls.reduce(
    (n, c, at) => n * (isContinuous(setup, at) ? 3 : c.kind === 'switch-3' ? 3 : 2),
    1,
  );
  return setup.program.logic.reduce((n, _, i) => (remembers(setup, i) ? n * 2 : n), controls * 2);
}

const proofs = new WeakMap<Setup, Proof>();

/** The proof of a Setup, worked out once: every rule asks the same one. Setups are immutable. */
export function proofOf(setup: Setup, options: ProofOptions = {}): Proof {
  const known = proofs.get(setup);
  if (known) return known;
  const heard = listening(options.onProgress);
  const proof = prove(setup, { ...options, ...heard.options });
  // One that was given up says nothing of the Setup: the next to ask works it out.
  if (!heard.gaveUp()) proofs.set(setup, proof);
  return proof;
}

/** Takes a proof that was worked out elsewhere, in a worker say, for the one of this Setup. */
export function rememberProof(setup: Setup, proof: Proof): void {
  proofs.set(setup, proof);
}

/** The way to a row of the table, worked out when somebody wants to see it. @param row its place in `rows` */
export function witnessOfRow(setup: Setup, row: number, words: string): Witness | undefined {
  const asked = new Asked(setup);
  const c = asked.orderCells[row];
  return c && asked.witness(asked.orders, c.cell, words);
}

/** Failures of one requirement, in the order found. */
export const failuresOf = (proof: Proof, requirement: string): readonly Failure[] =>
  proof.results.find((r) => r.id === requirement)?.failures ?? [];
