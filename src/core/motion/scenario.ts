import { z } from 'zod';
import { describeIssue, type Result } from '../setup';

/** The hands at a moment: controls by their ids, −100…100. They stay until moved again. */
const Pct = z.number().min(-100).max(100);
const HandsSchema = z.record(z.string().min(1).max(40), Pct);

const Mps = (most: number) => z.number().min(-most).max(most);

/**
 * A situation a model is put into: where and how it starts, what the hands do, what the air and the signal do. Plain
 * data, so that it can be kept, sent and played again.
 */
export const ScenarioSchema = z.strictObject({
  start: z.strictObject({
    heightM: z.number().min(0).max(500),
    /** Through the air; its usual speed where nothing is said. */
    speedMps: z.number().min(0).max(120).optional(),
    rollDeg: z.number().min(-180).max(180).default(0),
    pitchDeg: z.number().min(-90).max(90).optional(),
    headingDeg: z.number().min(-180).max(180).default(0),
    rates: z
      .strictObject({ rollDegS: Mps(1000), pitchDegS: Mps(1000), yawDegS: Mps(1000) })
      .partial()
      .default({}),
    /** Controls before it starts; the others are at rest, the throttle where its usual speed needs it. */
    controls: HandsSchema.default({}),
    /** What the hands do before it starts, where the order matters: latches and delays remember it. */
    before: z
      .array(
        z.union([
          z.strictObject({ control: z.string().min(1).max(40), value: Pct }),
          z.strictObject({ waitS: z.number().min(0).max(60) }),
        ]),
      )
      .max(100)
      .default([]),
  }),
  /** Moves of the hands, in order of time: as many as ten minutes have frames of a transmitter. */
  hands: z
    .array(z.strictObject({ atS: z.number().min(0).max(600), controls: HandsSchema }))
    .max(30_000)
    .default([]),
  signal: z
    .array(z.strictObject({ atS: z.number().min(0).max(600), up: z.boolean() }))
    .max(1000)
    .default([]),
  wind: z
    .strictObject({
      northMps: Mps(40).optional(),
      eastMps: Mps(40).optional(),
      gust: z
        .strictObject({
          atS: z.number().min(0).max(600),
          lastsS: z.number().min(0.05).max(60),
          northMps: Mps(40),
          eastMps: Mps(40),
          upMps: Mps(40),
        })
        .optional(),
      turbulenceMps: z.number().min(0).max(20).optional(),
    })
    .default({}),
  seconds: z.number().min(0.1).max(600),
  seed: z.int().min(0).max(2_147_483_647).default(1),
});

export type Scenario = z.infer<typeof ScenarioSchema>;
export type ScenarioInput = z.input<typeof ScenarioSchema>;

export const scenario = (input: ScenarioInput): Scenario => ScenarioSchema.parse(input);

/** When something happens in a scenario first: hands, signal or a gust; from its start where nothing does. */
export function happensAtS({ hands, signal, wind }: Scenario): number {
  const times = [...hands, ...signal, ...(wind.gust ? [wind.gust] : [])].map((h) => h.atS);
  return times.length === 0 ? 0 : Math.min(...times);
}

/**
 * Reads a scenario from anything at all.
 * @param controls ids of the transmitter's controls: others are refused with their path
 */
export function readScenario(raw: unknown, controls: readonly string[]): Result<Scenario> {
  const parsed = ScenarioSchema.safeParse(raw);
  if (!parsed.success) return { ok: false, problems: parsed.error.issues.flatMap(describeIssue) };
  const value = parsed.data;
  const unknown = (hands: Readonly<Record<string, number>>, at: string) =>
    Object.keys(hands)
      .filter((id) => !controls.includes(id))
      .map((id) => ({ path: `${at}/${id}`, reason: `the transmitter has no control "${id}"` }));
  const problems = [
    ...unknown(value.start.controls, '/start/controls'),
    ...value.start.before.flatMap((m, i) =>
      'control' in m ? unknown({ [m.control]: m.value }, `/start/before/${i}`) : [],
    ),
    ...value.hands.flatMap((h, i) => unknown(h.controls, `/hands/${i}/controls`)),
  ];
  return problems.length > 0 ? { ok: false, problems } : { ok: true, value };
}
