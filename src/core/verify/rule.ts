import type { Setup } from '../setup';
import type { Found } from './finding';
import type { Proof } from './proof';
import type { RequirementId } from './requirements/ids';
import type { RuleId } from './rules/ids';

/** One mistake to explain. The message stands beside the check. */
export interface Rule {
  id: RuleId;
  title: string;
  why: string;
  /** Requirements that fail when this mistake is made. */
  explains?: readonly RequirementId[];
  check(setup: Setup, proof: Proof): Found[];
}
