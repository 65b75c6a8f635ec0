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
 * @throws RangeError where the schema has no bounded number there
 */
export function rangeAt(path: string): Range {
  const found = known.get(path) ?? rangeIn(SetupSchema, path.split('/').slice(1));
  if (!found) throw new RangeError(`the schema has no bounded number at ${path}`);
  known.set(path, found);
  return found;
}

function rangeIn(schema: z.core.$ZodType, path: readonly string[]): Range | undefined {
  const { def } = schema._zod;
  switch (def.type) {
    case 'optional':
    case 'default':
    case 'nullable':
      return rangeIn((def as z.core.$ZodOptionalDef).innerType, path);
    case 'lazy':
      return rangeIn((def as z.core.$ZodLazyDef).getter(), path);
    case 'object': {
      const next = (def as z.core.$ZodObjectDef).shape[path[0] ?? ''];
      return next && rangeIn(next, path.slice(1));
    }
    case 'array':
      return rangeIn((def as z.core.$ZodArrayDef).element, path.slice(1));
    case 'union':
      for (const option of (def as z.core.$ZodUnionDef).options) {
        const range = rangeIn(option, path);
        if (range) return range;
      }
      return undefined;
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
