import type { Setup } from '../../setup';
import type { Asked } from '../asked';
import type { Failure, Outcome } from '../finding';

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
  /** Channels (1-based) whose lines decide it: an edit that reaches none of them changes nothing. */
  looksAt(setup: Setup): number[];
  check(asked: Asked): Outcome;
}

/** Words for a part that is too large. */
export const tooLargeWords = (
  what: string,
  { controls, entries }: { controls: string[]; entries: string[] },
): string => `${what}: too many states, by ${[...controls, ...entries].slice(0, 5).join(', ')}`;

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
