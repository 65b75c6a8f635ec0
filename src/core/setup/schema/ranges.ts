import type { z } from 'zod';
import { SetupSchema } from './setup';

/** What a number may be, ends included. */
export interface Range {
  min: number;
  max: number;
}

const known = new Map<string, Range>();

/**
 * The range of a number of the Setup, read off the schema, so that no field states it again.
 * @param path JSON Pointer (RFC 6901); of a list any index serves
 * @param as which of several shapes of one thing it stands in, by the word that tells them apart (`fixed`); the
 * first that has a number there, where nothing is said
 * @throws RangeError where the schema has no bounded number there
 */
export function rangeAt(path: string, as?: string): Range {
  const name = `${path} ${as ?? ''}`;
  const found = known.get(name) ?? rangeIn(SetupSchema, path.split('/').slice(1), as);
  if (!found) throw new RangeError(`the schema has no bounded number at ${path}`);
  known.set(name, found);
  return found;
}

/** Whether this word distinguishes a shape from others. */
const isToldBy = (schema: z.core.$ZodType, word: string): boolean =>
  schema._zod.def.type === 'object' &&
  Object.values((schema._zod.def as z.core.$ZodObjectDef).shape).some(
    ({ _zod: { def } }) =>
      def.type === 'literal' && (def as z.core.$ZodLiteralDef<string>).values.includes(word),
  );

function rangeIn(
  schema: z.core.$ZodType,
  path: readonly string[],
  as: string | undefined,
): Range | undefined {
  const { def } = schema._zod;
  switch (def.type) {
    case 'optional':
    case 'default':
    case 'nullable':
      return rangeIn((def as z.core.$ZodOptionalDef).innerType, path, as);
    case 'lazy':
      return rangeIn((def as z.core.$ZodLazyDef).getter(), path, as);
    case 'object': {
      const next = (def as z.core.$ZodObjectDef).shape[path[0] ?? ''];
      return next && rangeIn(next, path.slice(1), as);
    }
    case 'array':
      return path.length === 0
        ? undefined
        : rangeIn((def as z.core.$ZodArrayDef).element, path.slice(1), as);
    case 'union': {
      const { options } = def as z.core.$ZodUnionDef;
      const told = as === undefined ? [] : options.filter((o) => isToldBy(o, as));
      for (const option of told.length > 0 ? told : options) {
        const range = rangeIn(option, path, as);
        if (range) return range;
      }
      return undefined;
    }
    case 'number': {
      const { minValue, maxValue } = schema as z.ZodNumber;
      return path.length === 0 && minValue !== null && maxValue !== null
        ? { min: minValue, max: maxValue }
        : undefined;
    }
    default:
      return undefined;
  }
}
