/** One thing to do with the model in hand, and what must be seen, in this order. */
export interface ScriptStep {
  /** Names the evidence: the test and what of it. */
  check: `test:${string}`;
  item: string;
  does: string;
  sees: string[];
}

/** Steps of one test from what is done and what must be seen. */
export const scriptOf = (
  test: string,
  steps: readonly (readonly [item: string, does: string, sees: readonly string[]])[],
): ScriptStep[] =>
  steps.map(([item, does, sees]) => ({ check: `test:${test}`, item, does, sees: [...sees] }));
