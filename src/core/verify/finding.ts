import type { PatchOperation } from '../patch';
import type { Axis, Mode, WishId } from '../setup';
import type { RequirementId } from './requirements/ids';
import type { RuleId } from './rules/ids';

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
  /** What it is about: only failures that agree with it can come of it. */
  about?: About;
  /**
   * What would have to be otherwise for the mistake not to be there; its repairs, where nothing is said.
   * A failure is explained by it only if it passes with one of them applied.
   */
  without?: PatchOperation[][];
  /** Failures it is an account of, and of no others: if it explains none of them it is not said. */
  of?: readonly Failure[];
}

export interface Finding extends Omit<Found, 'without' | 'of'> {
  /** Id of the rule, as in the table of mistakes; of the requirement where no rule knows why. */
  rule: RuleId | RequirementId;
  /** Requirements that fail because of it. */
  requirements: RequirementId[];
}

/** Names a finding as long as it is there, whatever else is found. */
export const findingKey = ({ rule, says }: Pick<Finding, 'rule' | 'says'>): string =>
  `${rule} ${says}`;

/** What a failure is about, for rules to recognise. */
export interface About {
  axis?: Axis;
  surface?: string;
  mode?: Mode;
  control?: string;
  /** The choice that does not hold. */
  choice?: WishId;
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
  /** Which claim of its requirement fails. */
  claim?: string;
  /** Where it fails, without what the witness does there: the way, and what the unit is in. */
  at?: FailedAt;
}

/** The state a claim fails in, as a way from power-up. */
export interface FailedAt {
  path: readonly ({ control: number; value: number } | { waitS: number })[];
  unit: { armed: boolean; positionFix: boolean; recoveryHeldS: number };
  /** Of a sweep: where the control was put. */
  places?: readonly number[];
}

/** What looking came to. */
export interface Outcome {
  failures: Failure[];
  /** How many things are claimed of this Setup. */
  claims: number;
  /** States it was held in or failed in. */
  states: number;
  /** What was not looked at, in words. */
  leftOut: string[];
}

/** What a rule makes of one failure: the same in its own name. */
export function accountOf(failure: Failure): Omit<Found, 'remedies'> {
  const { claim: _, at: __, ...own } = failure;
  return { ...own, of: [failure] };
}
