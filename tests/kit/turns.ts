/**
 * Tests that take long and whose subject others look at as well, three of about the same length in a row: `npm test` takes
 * up one of the three, another on the next day, `npm run test:full` all of them.
 */
export const TURNS = [
  [
    'src/server/archive/archive.test.ts',
    'src/core/interrogate/ask.test.ts',
    'src/core/motion/motion.test.ts',
  ],
  [
    'src/core/procedure/procedure.test.ts',
    'src/core/infer/ask.test.ts',
    'src/core/sheets/poses.test.ts',
  ],
  [
    'tests/language/pretend.test.ts',
    'src/core/directions/structures.test.ts',
    'tests/reference/papers.test.ts',
  ],
  [
    'src/core/settings/settings.test.ts',
    'src/core/plan/wishes/sequences.test.ts',
    'tests/reference/ground-words.test.ts',
  ],
  [
    'src/core/motion/levelled.test.ts',
    'tests/reference/evidence-table.test.ts',
    'src/core/procedure/applies.test.ts',
  ],
  [
    'src/core/plan/mixes/mixes.test.ts',
    'src/core/model/built.test.ts',
    'tests/language/language.test.ts',
  ],
  ['src/cli/tolvan.test.ts', 'src/core/edit/lines.test.ts', 'src/core/verify/orders.test.ts'],
  [
    'tests/reference/kill.test.ts',
    'tests/reference/oracle.test.ts',
    'src/core/model/variants.test.ts',
  ],
  [
    'tests/setups/starts.test.ts',
    'tests/reference/turned-units.test.ts',
    'src/core/motion/shown.test.ts',
  ],
  [
    'src/core/verify/if-unit.test.ts',
    'tests/reference/random-models.test.ts',
    'src/core/verify/as-chosen.test.ts',
  ],
  [
    'src/core/motion/stops.test.ts',
    'src/core/infer/infer.test.ts',
    'src/core/directions/diagnose.test.ts',
  ],
] as const;

/** Those whose turn it is not. @param day any whole number */
export const waiting = (day: number): string[] =>
  TURNS.flatMap((row) => row.filter((_, i) => i !== Math.abs(day) % row.length));
