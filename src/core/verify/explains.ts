import { applyPatch, type PatchOperation } from '../patch';
import { parseSetup, type Setup } from '../setup';
import { decide, factsOf, marginAfter } from './engine';
import type { Failure, Found } from './finding';
import { REQUIREMENTS } from './requirements';

/** A Setup as it would be without a mistake; undefined where that is no Setup. */
function without(setup: Setup, patch: readonly PatchOperation[]): Setup | undefined {
  if (patch.length === 0) return undefined;
  const read = parseSetup(applyPatch(setup, patch));
  return read.ok ? read.value : undefined;
}

/** Whether what fails in a Setup passes in another one: its witness, walked there. */
function passesIn(other: Setup, requirement: string, failure: Failure): boolean {
  const own = REQUIREMENTS.find((r) => r.id === requirement)!;
  if (!own.applies(other)) return true;
  const facts = factsOf(other);
  const claim = own.claims(facts).find((c) => c.key === failure.claim);
  if (!claim) return true;
  if (claim.form === 'setup') return false;
  if (claim.asked !== 'always' || !failure.at)
    return decide(facts, [claim]).every((v) => v.failures.length === 0);
  const { path, unit, places } = failure.at;
  const margin = marginAfter(facts, claim, places, path, unit);
  return margin === undefined || margin >= 0;
}

/** Answers, for one Setup, whether a mistake explains a failure: without the mistake the failure passes. */
export function explainer(
  setup: Setup,
): (found: Found, requirement: string, failure: Failure) => boolean {
  const others = new Map<string, Setup | undefined>();
  return (found, requirement, failure) =>
    (found.without ?? found.remedies.map((r) => r.patch)).some((patch) => {
      const key = JSON.stringify(patch);
      if (!others.has(key)) others.set(key, without(setup, patch));
      const other = others.get(key);
      return other !== undefined && passesIn(other, requirement, failure);
    });
}
