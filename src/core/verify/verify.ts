import type { Setup } from '../setup';
import type { Finding } from './finding';
import { unsettled } from './if-unit';
import { judged } from './judge';
import { offered } from './offer';
import { REQUIREMENT } from './requirements';
import { RULE, RULES } from './rules';
import type { RuleId } from './rules/ids';

const known = new WeakMap<Setup, Finding[]>();

/**
 * All findings, worst first, each with the repairs that pass the door; at last what is proven of some possible units only. Setups are immutable.
 * @param onTry told before each repair is tried: a sign of life
 */
export function verify(setup: Setup, onTry?: () => void): Finding[] {
  const found = known.get(setup) ?? [
    ...offered(setup, judged(setup, RULES), RULES, onTry),
    ...unsettled(setup),
  ];
  known.set(setup, found);
  return found;
}

/** The same without repairs, for lists that only count: nothing is tried. */
export const findingsOf = (setup: Setup): Finding[] => [
  ...judged(setup, RULES),
  ...unsettled(setup),
];

/** What a finding stands for, by its id: a mistake of the table, or a requirement nothing explains. */
export function reasonOf(id: Finding['rule']): { title: string; why: string } {
  if (isRule(id)) return RULE[id];
  const { title, must } = REQUIREMENT[id];
  return { title, why: must };
}

const isRule = (id: Finding['rule']): id is RuleId => id in RULE;
