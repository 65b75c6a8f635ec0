import type { Setup } from '../setup';
import type { About, Failure, Finding, Found } from './finding';
import { explainer } from './explains';
import { proofOf, type Result } from './proof';
import type { RequirementId } from './requirements/ids';
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
 * Everything wrong with a Setup, remedies not tried yet: failures of requirements, each with the rule
 * that explains it, and what rules find besides. A rule explains a failure only if that passes without
 * the mistake; what no rule explains stands by itself.
 */
export function judged(setup: Setup, rules: readonly Rule[]): Finding[] {
  const proof = proofOf(setup);
  const explains = explainer(setup);
  const found = rules.flatMap((rule) =>
    rule.check(setup, proof).map((f) => ({ rule, found: f, requirements: [] as RequirementId[] })),
  );
  const bare: Finding[] = [];
  for (const result of proof.results)
    for (const failure of result.failures) {
      const reasons = found.filter(
        ({ rule, found: f }) =>
          rule.explains?.includes(result.id) &&
          f.severity !== 'note' &&
          (f.of === undefined || f.of.includes(failure)) &&
          agrees(f.about, failure.about) &&
          explains(f, result.id, failure),
      );
      if (reasons.length === 0) bare.push(unexplained(result, failure));
      reasons.forEach((reason, i) => {
        if (!reason.requirements.includes(result.id)) reason.requirements.push(result.id);
        // The first reason carries the weight of what fails.
        const { severity, witness } = reason.found;
        reason.found = {
          ...reason.found,
          severity: i === 0 ? worse(severity, failure.severity) : severity,
          ...(!witness && failure.witness ? { witness: failure.witness } : {}),
        };
      });
    }
  return [
    ...found.flatMap(({ rule, found: { of, without: _, ...f }, requirements }): Finding[] =>
      // What accounts for failures and explains none of them is no account.
      of && requirements.length === 0 ? [] : [{ ...f, rule: rule.id, requirements }],
    ),
    ...bare,
  ].toSorted((a, b) => ORDER.indexOf(a.severity) - ORDER.indexOf(b.severity));
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
