import {
  asking,
  settling,
  type Asking,
  type KnownFact,
  type Settling,
  type Told,
  type Undecided,
} from '../core/interrogate';
import type { Setup } from '../core/setup';

/** Where an asking stands, as plain data. */
export type AskState = Omit<Asking, 'facts'> & {
  facts: (Omit<KnownFact, 'facet'> & { id: string })[];
};

/** @param told answers so far, the first one first @param first a fact to ask about before any other */
export function ask(setup: Setup, told: readonly Told[], first?: string): AskState {
  const { facts, ...state } = asking(setup, told, first);
  return { ...state, facts: facts.map(({ facet, ...fact }) => ({ ...fact, id: facet.id })) };
}

/** What settles each fact, in their order. */
export const settle = (setup: Setup, undecided: readonly Undecided[]): (Settling | null)[] =>
  undecided.map((u) => settling(setup, u) ?? null);
