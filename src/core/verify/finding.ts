import type { PatchOperation } from '../patch';
import type { Axis, Mode } from '../setup';

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

/** What a failure is about, for rules to recognise. */
export interface About {
  axis?: Axis;
  surface?: string;
  mode?: Mode;
  control?: string;
  /** Which of several ways a requirement can fail. */
  how?: string;
  /** A figure that belongs to it, in percent, degrees, microseconds or milliseconds as `how` says. */
  figure?: number;
  /** From how many of how many states. */
  states?: readonly [number, number];
}

/** A state in which something that must be true is not. */
export interface Failure {
  severity: Exclude<Severity, 'note'>;
  /** What is wrong, in a sentence. */
  says: string;
  /** Where in the Setup (RFC 6901). */
  where: string;
  witness?: Witness;
  about: About;
}

/** What looking came to. */
export interface Outcome {
  failures: Failure[];
  /** States it was held in or failed in. */
  states: number;
  /** What was not looked at, in words. */
  leftOut: string[];
}
