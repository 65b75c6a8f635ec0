import type { z } from 'zod';
import { parseJson } from '../../json';
import { pointer, type Problem, type Result } from '../problem';
import { checkReferences } from './references';
import { SETUP_FORMAT, SETUP_VERSION } from '../lists';
import { SetupSchema, type Setup } from './setup';
import { UPGRADES } from './upgrades';

/** Largest Setup file accepted, in characters. A full one is about 30 000. */
export const MAX_SETUP_CHARS = 1_000_000;

const fail = (path: string, reason: string): { ok: false; problems: Problem[] } => ({
  ok: false,
  problems: [{ path, reason }],
});

/** The JSON of a Setup file, its size and shape looked at first. */
export function parsedJson(text: string): Result<unknown> {
  if (text.length > MAX_SETUP_CHARS)
    return fail(
      '',
      `too large: ${text.length} characters, a Setup file has at most ${MAX_SETUP_CHARS}`,
    );
  const parsed = parseJson(text);
  return parsed.ok ? { ok: true, value: parsed.value } : fail('', parsed.reason);
}

/** Checks parsed data: version, upgrade, schema, references; returns a Setup of the current version, or every problem with its path. */
export function parseSetup(data: unknown): Result<Setup> {
  if (typeof data !== 'object' || data === null || Array.isArray(data))
    return fail('', 'not a Setup: expected an object');
  let document = data as Record<string, unknown>;
  if (document.format !== SETUP_FORMAT)
    return fail('/format', `not a Setup: format must be "${SETUP_FORMAT}"`);
  const version = document.version;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1)
    return fail('/version', 'must be a whole number from 1');
  if (version > SETUP_VERSION)
    return fail(
      '/version',
      `made by a newer Tolvan (format ${version}); this one reads up to ${SETUP_VERSION}. Update Tolvan, then open it again`,
    );
  for (let v = version; v < SETUP_VERSION; v++) document = UPGRADES[v]!(document);

  const parsed = SetupSchema.safeParse(document);
  if (!parsed.success) return { ok: false, problems: parsed.error.issues.flatMap(describeIssue) };
  const problems = checkReferences(parsed.data);
  return problems.length > 0 ? { ok: false, problems } : { ok: true, value: parsed.data };
}

/** A schema issue in plain words, with the JSON Pointer of the exact field. */
export function describeIssue(issue: z.core.$ZodIssue): Problem[] {
  const path = pointer(...issue.path);
  switch (issue.code) {
    case 'unrecognized_keys':
      return issue.keys.map((key) => ({
        path: pointer(...issue.path, key),
        reason: 'unknown field',
      }));
    case 'invalid_type':
      return [
        {
          path,
          reason:
            issue.input === undefined
              ? `missing: needs ${issue.expected}`
              : `must be ${issue.expected}`,
        },
      ];
    case 'too_big':
      return [
        {
          path,
          reason:
            issue.origin === 'number' || issue.origin === 'int'
              ? `must be at most ${issue.maximum}`
              : `too long: at most ${issue.maximum}`,
        },
      ];
    case 'too_small':
      return [
        {
          path,
          reason:
            issue.origin === 'number' || issue.origin === 'int'
              ? `must be at least ${issue.minimum}`
              : `too short: at least ${issue.minimum}`,
        },
      ];
    case 'invalid_value':
      return [{ path, reason: `must be one of: ${issue.values.map(String).join(', ')}` }];
    default:
      return [{ path, reason: issue.message }];
  }
}
