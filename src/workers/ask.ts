import { asking, type Experiment, type KnownFact, type Told } from '../core/interrogate';
import type { Setup } from '../core/setup';

/** Where an asking stands, as plain data. */
export interface AskState {
  next: { experiment: Experiment; again: boolean } | undefined;
  facts: { id: string; values: readonly string[]; by: KnownFact['by'] }[];
  doubted: readonly number[];
  outside: number | undefined;
}

/** @param told answers so far, the first one first */
export function ask(setup: Setup, told: readonly Told[]): AskState {
  const { next, facts, doubted, outside } = asking(setup, told);
  return {
    next,
    facts: facts.map(({ facet, values, by }) => ({ id: facet.id, values, by })),
    doubted,
    outside,
  };
}
