import { z } from 'zod';
import { IdSchema } from './basics';
import type { Problem, Result } from '../problem';
import { describeIssue } from './read';
import { checkTransmitter, checkUnit } from './references';
import { TransmitterSchema } from './transmitter';
import { UnitSchema } from './unit';

export const HANGAR_FORMAT = 'tolvan-hangar';

/** A unit or a transmitter kept on its own, to be fitted to any model. */
export const PartSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    id: IdSchema,
    kind: z.literal('unit'),
    /** The part it was copied from: another one here, or a shipped one. */
    copyOf: IdSchema.optional(),
    body: UnitSchema,
  }),
  z.strictObject({
    id: IdSchema,
    kind: z.literal('transmitter'),
    copyOf: IdSchema.optional(),
    body: TransmitterSchema,
  }),
]);
export type Part = z.infer<typeof PartSchema>;
export type PartKind = Part['kind'];

/** Units and transmitters on their way out or in. */
export const HangarFileSchema = z.strictObject({
  format: z.literal(HANGAR_FORMAT),
  version: z.literal(1),
  parts: z.array(PartSchema).max(500),
});
export type HangarFile = z.infer<typeof HangarFileSchema>;

/** Checks one part, or says what is wrong with it and where. */
export function parsePart(data: unknown): Result<Part> {
  const parsed = PartSchema.safeParse(data);
  if (!parsed.success) return { ok: false, problems: parsed.error.issues.flatMap(describeIssue) };
  const problems = problemsOf(parsed.data, ['body']);
  return problems.length > 0 ? { ok: false, problems } : { ok: true, value: parsed.data };
}

function problemsOf(part: Part, at: readonly (string | number)[]): Problem[] {
  const problems: Problem[] = [];
  if (part.kind === 'unit') checkUnit(part.body, problems, at);
  else checkTransmitter(part.body, problems, at);
  return problems;
}

/**
 * Checks a hangar file: every part, names given once, and copies that lead somewhere and never
 * back to themselves.
 * @param known parts already kept here, by id, with what each was copied from
 */
export function parseHangarFile(
  data: unknown,
  known: ReadonlyMap<string, string | undefined>,
): Result<HangarFile> {
  const parsed = HangarFileSchema.safeParse(data);
  if (!parsed.success) return { ok: false, problems: parsed.error.issues.flatMap(describeIssue) };
  const { parts } = parsed.data;
  const problems: Problem[] = [];
  const origin = new Map(known);
  parts.forEach((part, i) => {
    problems.push(...problemsOf(part, ['parts', i, 'body']));
    if (parts.findIndex((p) => p.id === part.id) !== i)
      problems.push({ path: `/parts/${i}/id`, reason: `${part.id} is used twice in this file` });
    origin.set(part.id, part.copyOf);
  });
  parts.forEach((part, i) => {
    if (part.copyOf === undefined) return;
    const path = `/parts/${i}/copyOf`;
    if (!origin.has(part.copyOf))
      problems.push({ path, reason: `there is no part "${part.copyOf}" it could be a copy of` });
    const circle = circleFrom(part.id, origin);
    if (circle) problems.push({ path, reason: `copies form a loop: ${circle}` });
  });
  return problems.length > 0 ? { ok: false, problems } : { ok: true, value: parsed.data };
}

/** "a → b → a" when following copies from a part leads back to it. */
export function circleFrom(
  id: string,
  origin: ReadonlyMap<string, string | undefined>,
): string | undefined {
  const trail = [id];
  for (let next = origin.get(id); next !== undefined; next = origin.get(next)) {
    if (trail.includes(next)) return next === id ? [...trail, id].join(' → ') : undefined;
    trail.push(next);
  }
  return undefined;
}
