import type { PatchOperation } from '../patch';
import type { Setup } from '../setup';
import type { Proof } from './proof';
import type { About } from './requirements';

export type Severity = 'stop' | 'caution' | 'note';

/** Something to do on the bench, in order: put a control somewhere, or wait. */
export type WitnessStep = { control: string; value: number } | { waitS: number };

/** The exact state that shows a fault: put on the bench it can be seen. */
export interface Witness {
  /** Controls away from rest, by id. */
  controls: Record<string, number>;
  words: string;
  /** Where the order matters, as with latches and delays: what to do, one after another. */
  steps?: WitnessStep[];
}

export interface Remedy {
  label: string;
  patch: PatchOperation[];
}

/** What a rule found; which rule it was is stamped on by the registry. */
export interface Found {
  severity: Severity;
  /** What is wrong, in a sentence. */
  says: string;
  /** Where in the Setup (RFC 6901). */
  where: string;
  witness?: Witness;
  remedies: Remedy[];
  /** What it is about: failures of the rule's requirements that agree with it are explained by it. */
  about?: About;
}

export interface Finding extends Found {
  /** Id of the rule, as in the table of mistakes; of the requirement where no rule knows why. */
  rule: string;
  /** Requirements that fail because of it. */
  requirements: string[];
}

/** One mistake to explain. The message stands beside the check. */
export interface Rule {
  id: string;
  title: string;
  why: string;
  /** Requirements that fail when this mistake is made. */
  explains?: readonly string[];
  check(setup: Setup, proof: Proof): Found[];
}
