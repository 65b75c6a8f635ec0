import { z } from 'zod';
import { describeIssue, type Result } from '../setup';
import { readScenario, ScenarioSchema, type Scenario } from './scenario';

export const MOTION_FORMAT = 'tolvan-motion';
export const MOTION_VERSION = 1;
/** A larger file is no motion. */
const MOST_BYTES = 1_000_000;

const MotionSchema = z.strictObject({
  format: z.literal(MOTION_FORMAT),
  version: z.literal(MOTION_VERSION),
  /** Of the model it was flown with; a name, not a proof. */
  model: z.string().max(200),
  /** What was done and its seed: played again it is the same flight. */
  scenario: ScenarioSchema,
  /** How it went, in words, when it was kept. */
  story: z.string().max(400),
});

export type MotionFile = z.infer<typeof MotionSchema>;

/** A motion as a file: hands, air and seed, and how it went. */
export const motionFile = (model: string, scenario: Scenario, story: string): string =>
  `${JSON.stringify({ format: MOTION_FORMAT, version: MOTION_VERSION, model, scenario, story } satisfies MotionFile, null, 2)}\n`;

/** Reads a motion from a file. @param controls ids of the transmitter's controls: others are refused with their path */
export function readMotion(text: string, controls: readonly string[]): Result<MotionFile> {
  const refused = (path: string, reason: string): Result<MotionFile> => ({
    ok: false,
    problems: [{ path, reason }],
  });
  if (text.length > MOST_BYTES) return refused('', 'larger than any motion: 1 MB at most');
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
