import type { Setup } from '../../setup';
import type { Asked } from '../asked';
import type { Table } from '../explore';
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

/** What most requirements look at. */
export const ORDERS = 'Orders of the unit';

/** An outcome in the making. */
export class Looking implements Outcome {
  failures: Failure[] = [];
  states = 0;
  leftOut: string[] = [];

  /** Whether a table is there in full; where it is not, that is said by what makes it so large. */
  needs(what: string, { tooLarge }: Pick<Table, 'tooLarge'>): boolean {
    if (!tooLarge) return true;
    const by = [...tooLarge.controls, ...tooLarge.entries].slice(0, 5).join(', ');
    this.leave(`${what}: too many states, by ${by}`);
    return false;
  }

  /** Says once what was not looked at. */
  leave(words: string): void {
    if (!this.leftOut.includes(words)) this.leftOut.push(words);
  }

  fail(failure: Failure): this {
    this.failures.push(failure);
    return this;
  }
}
