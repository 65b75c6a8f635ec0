/** How deep and how much one JSON text may hold. */
export interface JsonLimits {
  /** Brackets within brackets. */
  depth: number;
  /** Values of any kind, names of members included. */
  values: number;
}

/** A full Setup has about 3 000 values, 14 deep; a condition within conditions adds two a step. */
export const DOCUMENT_LIMITS: JsonLimits = { depth: 64, values: 250_000 };

/** It is no JSON at all, or more of it than may be. */
export type JsonFault = 'syntax' | 'limits';
export type ParsedJson =
  { ok: true; value: unknown } | { ok: false; fault: JsonFault; reason: string };

const QUOTE = 0x22;
const BACKSLASH = 0x5c;
const COMMA = 0x2c;
const COLON = 0x3a;

/**
 * Reads JSON that a stranger may have written. It is counted before it is parsed, because a few
 * bytes of brackets can become gigabytes of objects, or be nested deeper than any program reads.
 */
export function parseJson(text: string, limits = DOCUMENT_LIMITS): ParsedJson {
  const reason = tooMuch(text, limits);
  if (reason !== undefined) return { ok: false, fault: 'limits', reason };
  try {
    return { ok: true, value: JSON.parse(text) as unknown };
  } catch (error) {
    return { ok: false, fault: 'syntax', reason: `not JSON: ${(error as Error).message}` };
  }
}

/** Why a text is beyond the limits; undefined where it is not. Makes no object. */
function tooMuch(text: string, limits: JsonLimits): string | undefined {
  let depth = 0;
  let values = 1;
  for (let i = 0; i < text.length; i++) {
    const c = text.charCodeAt(i);
    if (c === QUOTE) {
      for (i++; i < text.length; i++) {
        const inside = text.charCodeAt(i);
        if (inside === QUOTE) break;
        if (inside === BACKSLASH) i++;
      }
    } else if (c === 0x7b || c === 0x5b) {
      values += 1;
      if (++depth > limits.depth) return `nested more than ${limits.depth} deep`;
    } else if (c === 0x7d || c === 0x5d) depth -= 1;
    else if (c === COMMA || c === COLON) {
      if (++values > limits.values)
        return `more than ${limits.values.toLocaleString('en')} values in one piece`;
    }
  }
  return undefined;
}
