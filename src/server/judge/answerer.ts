import type { Setup } from '../../core/setup';
import { QUESTIONS, type QuestionName } from './questions';

/** Setups whose proofs are kept; one takes up to a few megabytes. */
const MOST_KEPT = 24;

/**
 * Answers questions, keeping each Setup by what it says: what was worked out of it for one question
 * is there for the next, whoever asks.
 */
export function createAnswerer() {
  const kept = new Map<string, Setup>();
  const same = (setup: Setup): Setup => {
    const key = JSON.stringify(setup);
    const known = kept.get(key) ?? setup;
    // The one asked about last is forgotten last.
    kept.delete(key);
    kept.set(key, known);
    if (kept.size > MOST_KEPT) kept.delete(kept.keys().next().value!);
    return known;
  };
  return (name: QuestionName, setup: Setup, more: readonly unknown[]): unknown =>
    (QUESTIONS[name] as (setup: Setup, ...more: readonly unknown[]) => unknown)(
      same(setup),
      ...more,
    );
}
