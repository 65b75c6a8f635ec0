import type { Setup } from '../../setup';
import type { ExploreOptions } from './explore';
import { prove, type Proof } from './proof';

export { coneOf, joined, type Cone } from './cone';
export { explore, pathTo, recall, unreducedCount, type Move, type Reached } from './explore';
export { controlsIn, panicControlOf } from './panic';
export { isOn, ordersCone, prove, type PanicAnswer, type Proof, type ProofRow } from './proof';
export { valuesOf } from './values';

const proofs = new WeakMap<Setup, Proof>();

/** The proof of a Setup, worked out once: every rule asks the same one. Setups are immutable. */
export function proofOf(setup: Setup, options: ExploreOptions = {}): Proof {
  const known = proofs.get(setup);
  if (known) return known;
  let ended = false;
  const proof = prove(setup, {
    ...options,
    onProgress: (states) => {
      ended = options.onProgress?.(states) === false;
      return !ended;
    },
  });
  // One that was ended says nothing of the Setup: the next to ask works it out.
  if (!ended) proofs.set(setup, proof);
  return proof;
}

/** Takes a proof that was worked out elsewhere, in a worker say, for the one of this Setup. */
export function rememberProof(setup: Setup, proof: Proof): void {
  proofs.set(setup, proof);
}
