import '../core/verify/prover';
import type { Setup } from '../core/setup';
import { posesOf, type Poses } from '../core/sheets';
import {
  overUnits,
  proofOf,
  reasonOf,
  RULES,
  verify,
  type Finding,
  type OverUnits,
  type Proof,
} from '../core/verify';

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

/** @param onProgress told now and then how many states have been visited */
export function judge(setup: Setup, onProgress: (states: number) => void): Verdict {
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
  return { findings, proof, units, poses: posesOf(setup), reasons, rules: RULES.length };
}
