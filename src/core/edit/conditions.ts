import { positionsOf } from '../chain';
import { isSwitched, reaches, type Condition, type Setup, type Worked } from '../setup';

/*
 * Conditions put together by hand: places of switches and logic, each straight or reversed, joined
 * by "and" or by "or". What is nested deeper is kept as it is and said in words.
 */

/** A place of a switch, or logic. */
export type Atom = Extract<Condition, { kind: 'switch' | 'logic' }>;

export interface Term {
  of: Atom;
  not: boolean;
}

export interface Terms {
  by: 'all' | 'any';
  terms: readonly Term[];
}

const isAtom = (c: Condition): c is Atom => c.kind === 'switch' || c.kind === 'logic';

function termOf(c: Condition): Term | undefined {
  if (isAtom(c)) return { of: c, not: false };
  return c.kind === 'not' && isAtom(c.of) ? { of: c.of, not: true } : undefined;
}

/** A condition as a row of terms, none where it always holds; undefined where it is nested deeper. */
export function termsOf(condition: Condition | undefined): Terms | undefined {
  if (condition === undefined) return { by: 'all', terms: [] };
  const grouped = condition.kind === 'all' || condition.kind === 'any';
  const terms = (grouped ? condition.of : [condition]).map(termOf);
  return terms.every((t) => t !== undefined)
    ? { by: grouped ? condition.kind : 'all', terms }
    : undefined;
}

/** The condition that a row of terms stands for; undefined, always, where there is none. */
export function conditionOf({ by, terms }: Terms): Condition | undefined {
  const said = terms.map(({ of, not }): Condition => (not ? { kind: 'not', of } : of));
  return said.length > 1 ? { kind: by, of: said } : said[0];
}

export const atomKey = (atom: Atom): string =>
  atom.kind === 'switch' ? `switch ${atom.control} ${atom.position}` : `logic ${atom.id}`;

/**
 * Each position of each switch, and each logic.
 * @param of what the condition is put in: no logic that comes back to it, however far round
 */
export const atomsFor = ({ program, transmitter }: Setup, of?: Worked): Atom[] => [
  ...transmitter.controls.filter(isSwitched).flatMap((c) =>
    Array.from({ length: positionsOf(c.kind) }, (_, position): Atom => ({
      kind: 'switch',
      control: c.id,
      position,
    })),
  ),
  ...program.logic
    .map(({ id }) => ({ kind: 'logic' as const, id }))
    .filter((logic) => !of || !reaches(program, logic, of)),
];
