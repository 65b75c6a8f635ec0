import type { Setup } from '../setup';
import { listening, type PanicControl, type TableOptions } from './explore';
import type { Failure, Outcome } from './finding';
import type { RequirementId } from './requirements/ids';
import type { ProofRow } from './rows';

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

const proofs = new WeakMap<Setup, Proof>();

type Prove = (setup: Setup, options: ProofOptions) => Proof;

let prover: Prove | undefined;

/**
 * Says how a proof is worked out. A page is given its proofs by a worker and does not carry the prover;
 * everything else imports `prover`, which calls this.
 */
export function proveWith(prove: Prove): void {
  prover = prove;
}

/**
 * The proof of a Setup, worked out once: every rule asks the same one. Setups are immutable.
 * @throws where it is not known and nothing here can work it out: a page asks its worker first
 */
export function proofOf(setup: Setup, options: ProofOptions = {}): Proof {
  const known = proofs.get(setup);
  if (known) return known;
  if (!prover)
    throw new Error('This Setup has not been proved yet, and nothing here can prove it.');
  const heard = listening(options.onProgress);
  const proof = prover(setup, { ...options, ...heard.options });
  // One that was given up says nothing of the Setup: the next to ask works it out.
  if (!heard.gaveUp()) proofs.set(setup, proof);
  return proof;
}

/** Whether the proof of a Setup is known already. */
export const isProved = (setup: Setup): boolean => proofs.has(setup);

/** Takes a proof that was worked out elsewhere, in a worker say, for the one of this Setup. */
export function rememberProof(setup: Setup, proof: Proof): void {
  proofs.set(setup, proof);
}

/** Failures of one requirement, in the order found. */
export const failuresOf = (proof: Proof, requirement: RequirementId): readonly Failure[] =>
  proof.results.find((r) => r.id === requirement)?.failures ?? [];
