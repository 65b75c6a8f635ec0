import type { Setup } from '../setup';
import { decide, factsOf } from './engine';
import {
  isContinuous,
  listening,
  remembers,
  type PanicControl,
  type TableOptions,
} from './explore';
import type { Failure, Outcome } from './finding';
import { outcomesOf } from './outcomes';
import { REQUIREMENTS } from './requirements';
import type { RequirementId } from './requirements/ids';
import { ordersTable, rowsOf, type ProofRow } from './rows';

export { witnessOfRow, type ProofRow } from './rows';

/** One requirement, and what looking came to. */
export interface Result extends Omit<Outcome, 'claims'> {
  id: RequirementId;
  title: string;
  must: string;
  from: string;
}

/** Every requirement held against every reachable state, and how much was checked. */
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

/** How far to look, and whom to report to. */
export type ProofOptions = Pick<TableOptions, 'onProgress' | 'limit'>;

/** Holds every requirement against a Setup. */
export function prove(setup: Setup, options: ProofOptions = {}): Proof {
  const heard = listening(options.onProgress);
  const facts = factsOf(setup);
  const heeded = { ...options, ...heard.options };
  const applying = REQUIREMENTS.filter((r) => r.applies(setup));
  const outcomes = outcomesOf(facts, applying, options.limit, (claims) => ({
    verdicts: decide(facts, claims, heeded),
    gaveUp: heard.gaveUp(),
  }));
  const results = applying.flatMap(({ id, title, must, from }, i): Result[] => {
    const outcome = outcomes[i];
    if (!outcome) return [];
    const { failures, states, leftOut } = outcome;
    return [{ id, title, must, from, failures, states, leftOut }];
  });
  const orders = ordersTable(facts, heeded);
  const off = outcomes[applying.findIndex((r) => r.id === 'master-off')]?.holds['off'] ?? [];
  return {
    results,
    rows: rowsOf(facts, orders),
    controls: orders.cone.controls.map((at) => setup.transmitter.controls[at]!.id),
    visited: orders.cells.length,
    unreduced: unreducedCount(setup),
    complete: orders.tooLarge === undefined && results.every((r) => r.leftOut.length === 0),
    panic: facts.panic,
    masterOff: off.map((position) => {
      const [control, value] = position.split(' ');
      return { control: control!, value: Number(value) };
    }),
  };
}

/** All positions of switches, ends and middles of everything else, all memory, signal there and lost. */
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

/** Failures of one requirement, in the order found. */
export const failuresOf = (proof: Proof, requirement: RequirementId): readonly Failure[] =>
  proof.results.find((r) => r.id === requirement)?.failures ?? [];
