import type { Setup } from '../setup';
import { posesOf, type Poses } from '../sheets';
import '../verify/prover';
import {
  overUnits,
  proofOf,
  reasonOf,
  RULES,
  verify,
  type Finding,
  type OverUnits,
  type Proof,
} from '../verify';

/** What the rules say of a Setup, and the proof they asked. */
export interface Verdict {
  findings: Finding[];
  proof: Proof;
  /** The same for every unit that is still possible. */
  units: OverUnits | undefined;
  /** The poses its program is read back by: they take a moment as well. */
  poses: Poses;
  /** What each kind of finding is called and why it matters, and how many rules looked. */
  reasons: Record<string, { title: string; why: string }>;
  rules: number;
}

const known = new WeakMap<Setup, Verdict>();

/**
 * Everything the page says of a program, worked out once: Setups are immutable.
 * @param onProgress told now and then how many states have been visited
 */
export function verdictOf(setup: Setup, onProgress: (states: number) => void): Verdict {
  const before = known.get(setup);
  if (before) return before;
  // Looked at once with progress; the rules then find the same proof by its Setup.
  const proof = proofOf(setup, {
    onProgress: (states) => {
      onProgress(states);
      return true;
    },
  });
  const findings = verify(setup, () => onProgress(proof.visited));
  const reasons = Object.fromEntries(
    findings.map(({ rule }) => {
      const { title, why } = reasonOf(rule);
      return [rule, { title, why }];
    }),
  );
  const units = overUnits(setup);
  const verdict = { findings, proof, units, poses: posesOf(setup), reasons, rules: RULES.length };
  known.set(setup, verdict);
  return verdict;
}
