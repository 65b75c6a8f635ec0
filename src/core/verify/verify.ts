import type { Setup } from '../setup';
import type { Finding } from './finding';
import { judged } from './judge';
import { offered } from './offer';
import { REQUIREMENTS } from './requirements';
import { RULES } from './rules';

const known = new WeakMap<Setup, Finding[]>();

/**
 * All findings, worst first, each with the repairs that pass the door. Setups are immutable.
 * @param onTry told before each repair is tried: a sign of life
 */
export function verify(setup: Setup, onTry?: () => void): Finding[] {
  const found = known.get(setup) ?? offered(setup, judged(setup, RULES), RULES, onTry);
  known.set(setup, found);
  return found;
}

/** The same without repairs, for lists that only count: nothing is tried. */
export const findingsOf = (setup: Setup): Finding[] => judged(setup, RULES);

/** What a finding stands for, by its id: a mistake of the table, or a requirement nothing explains. */
export function reasonOf(id: string): { title: string; why: string } {
  const rule = RULES.find((r) => r.id === id);
  if (rule) return rule;
  const requirement = REQUIREMENTS.find((r) => r.id === id);
  return requirement ? { title: requirement.title, why: requirement.must } : { title: id, why: '' };
}
