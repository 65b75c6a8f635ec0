import { z } from 'zod';
import { describeIssue, type Result } from '../setup';
import { CENTRAL, DrawSchema, type Draw } from './estimates';
import type { Ending } from './observers';
import { readScenario, ScenarioSchema, type Scenario } from './scenario';

export const MOTION_FORMAT = 'tolvan-motion';
export const MOTION_VERSION = 1;
/** A larger file is no motion: ten minutes by hand are two. */
const MOST_BYTES = 4_000_000;

const OutcomeSchema = z.strictObject({
  seconds: z.number(),
  northM: z.number(),
  eastM: z.number(),
  heightM: z.number(),
});

/** Where a flight ended: after so many seconds, from where it began. */
export type Outcome = z.infer<typeof OutcomeSchema>;

const MotionSchema = z.strictObject({
  format: z.literal(MOTION_FORMAT),
  version: z.literal(MOTION_VERSION),
  /** Of the model it was flown with; a name, not a proof. */
  model: z.string().max(200),
  /** What was done and its seed: played again it is the same flight. */
  scenario: ScenarioSchema,
  /** Which of the models it may be flew it; as estimated where nothing is said. */
  draw: DrawSchema.optional(),
  /** How it went, in words, when it was kept. */
  story: z.string().max(400),
  /** Where it was at its end, when it was kept: flown elsewhere, or by a model that has changed, it may differ. */
  outcome: OutcomeSchema.optional(),
});

export type MotionFile = z.infer<typeof MotionSchema>;

/** A motion as a file: hands, air and seed, and how it went. */
export function motionFile({
  model,
  scenario,
  draw,
  story,
  ending,
}: {
  model: string;
  scenario: Scenario;
  draw: Draw;
  story: string;
  ending?: Ending;
}): string {
  const outcome = ending && outcomeOf(ending);
  const file: MotionFile = {
    format: MOTION_FORMAT,
    version: MOTION_VERSION,
    model,
    scenario,
    ...(draw === CENTRAL ? {} : { draw }),
    story,
    ...(outcome ? { outcome } : {}),
  };
  return `${JSON.stringify(file, null, 2)}\n`;
}

const outcomeOf = ({ seconds, northM, eastM, heightM }: Ending): Outcome => ({
  seconds,
  northM,
  eastM,
  heightM,
});

/** A flight that ends further off than this from where it was kept is another one, metres or seconds. */
const SAME = 0.05;

/** Whether a flight ended where it did when it was kept. */
export const sameOutcome = (kept: Outcome, ending: Ending): boolean => {
  const now = outcomeOf(ending);
  return (Object.keys(now) as (keyof Outcome)[]).every((k) => Math.abs(now[k] - kept[k]) <= SAME);
};

/** Reads a motion from a file. @param controls ids of the transmitter's controls: others are refused with their path */
export function readMotion(text: string, controls: readonly string[]): Result<MotionFile> {
  const refused = (path: string, reason: string): Result<MotionFile> => ({
    ok: false,
    problems: [{ path, reason }],
  });
  if (text.length > MOST_BYTES) return refused('', 'larger than any motion: 4 MB at most');
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch {
    return refused('', 'the file is not JSON');
  }
  const parsed = MotionSchema.safeParse(raw);
  if (!parsed.success) return { ok: false, problems: parsed.error.issues.flatMap(describeIssue) };
  const scenario = readScenario(parsed.data.scenario, controls);
  if (!scenario.ok)
    return {
      ok: false,
      problems: scenario.problems.map((p) => ({ ...p, path: `/scenario${p.path}` })),
    };
  return { ok: true, value: parsed.data };
}
