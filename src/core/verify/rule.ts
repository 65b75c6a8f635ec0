import type { Setup } from '../setup';
import type { Found } from './finding';
import type { Proof } from './proof';

/** One mistake to explain. The message stands beside the check. */
export interface Rule {
  id: string;
  title: string;
  why: string;
  /** Requirements that fail when this mistake is made. */
  explains?: readonly string[];
  check(setup: Setup, proof: Proof): Found[];
}
