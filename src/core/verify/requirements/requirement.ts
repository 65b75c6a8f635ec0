import type { Axis, Mode, Setup } from '../../setup';
import type { Asked } from '../asked';
import type { Severity, Witness } from '../finding';

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

/** Something that must be true of every Setup it applies to, whatever the hands do. */
export interface Requirement {
  id: string;
  /** For a heading: "The motor stays off while it is cut". */
  title: string;
  /** What must be true, exactly. */
  must: string;
  /** The wish, trait or law it comes from. */
  from: string;
  applies(setup: Setup): boolean;
  check(asked: Asked): Outcome;
}

/** Words for a part that is too large. */
export const tooLargeWords = (what: string, { controls, entries }: { controls: string[]; entries: string[] }): string =>
  `${what}: too many states, by ${[...controls, ...entries].slice(0, 5).join(', ')}`;

/** An outcome in the making. */
export class Looking implements Outcome {
  failures: Failure[] = [];
  states = 0;
  leftOut: string[] = [];

  fail(failure: Failure): this {
    this.failures.push(failure);
    return this;
  }
}
