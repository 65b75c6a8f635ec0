import type { Setup } from '../setup';
import type { About, Failure, Finding, Found } from './finding';
import { proofOf, type Result } from './proof';
import type { Rule } from './rule';

const ORDER = ['stop', 'caution', 'note'] as const;

/** Whether a finding can be the reason of a failure: what both name, they name alike. */
function agrees(found: About | undefined, failure: About): boolean {
  if (!found) return true;
  return (['surface', 'axis', 'mode', 'control'] as const).every(
    (key) => found[key] === undefined || failure[key] === undefined || found[key] === failure[key],
  );
}

const worse = <T extends { severity: Found['severity'] }>(a: T['severity'], b: T['severity']) =>
  ORDER.indexOf(a) <= ORDER.indexOf(b) ? a : b;

/**
 * Everything wrong with a Setup, remedies not tried yet: failures of requirements, merged into the
 * rule that explains them, and what rules find besides. A failure no rule explains stands by itself.
 */
export function judged(setup: Setup, rules: readonly Rule[]): Finding[] {
  const proof = proofOf(setup);
  const found = rules.flatMap((rule) =>
    rule.check(setup, proof).map((f): Finding & { of: Rule } => ({
      ...f,
      rule: rule.id,
      requirements: [],
      of: rule,
    })),
  );
  const bare: Finding[] = [];
  for (const result of proof.results)
    for (const failure of result.failures) {
      const reasons = found.filter(
        (f) =>
          f.of.explains?.includes(result.id) &&
          f.severity !== 'note' &&
          agrees(f.about, failure.about),
      );
      if (reasons.length === 0) bare.push(unexplained(result, failure));
      for (const reason of reasons) {
        if (!reason.requirements.includes(result.id)) reason.requirements.push(result.id);
        // The first reason carries the weight of what fails.
        if (reason === reasons[0]) reason.severity = worse(reason.severity, failure.severity);
        if (!reason.witness && failure.witness) reason.witness = failure.witness;
      }
    }
  return [...found.map(({ of: _, ...f }): Finding => f), ...bare].toSorted(
    (a, b) => ORDER.indexOf(a.severity) - ORDER.indexOf(b.severity),
  );
}

function unexplained(result: Result, failure: Failure): Finding {
  const { severity, says, where, witness, about } = failure;
  return {
    rule: result.id,
    requirements: [result.id],
    severity,
    says,
    where,
    about,
    ...(witness ? { witness } : {}),
    remedies: [],
  };
}
