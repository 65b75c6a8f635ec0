import jsonPatch, { type Operation } from 'fast-json-patch';

/** RFC 6902 operation on a Setup. */
export type PatchOperation = Operation;

/**
 * A patched copy that shares everything the patch does not reach, so that many small changes of one document
 * cost little; the document itself is left alone, and neither may be written to afterwards.
 * @throws Error naming the operation when a path does not exist (RFC 6902 §5)
 */
export function applyPatch<T>(document: T, patch: readonly PatchOperation[]): T {
  let now: unknown = document;
  patch.forEach((operation, i) => {
    const from = operation.op === 'move' ? [operation.from] : [];
    now = [operation.path, ...from].reduce((copy, path) => owned(copy, keysOf(path)), now);
    now = jsonPatch.applyOperation(now, operation, true, true, true, i).newDocument;
  });
  return now as T;
}

const keysOf = (path: string): string[] =>
  path.split('/').slice(1).map(jsonPatch.unescapePathComponent);

/** Copies of all that lies on the way to a place, which may be written to. */
function owned(at: unknown, [key, ...rest]: readonly string[]): unknown {
  if (key === undefined || typeof at !== 'object' || at === null) return at;
  const copy: unknown = Array.isArray(at) ? [...(at as unknown[])] : { ...at };
  if (rest.length > 0 && Object.hasOwn(copy as object, key)) {
    const held = copy as Record<string, unknown>;
    held[key] = owned(held[key], rest);
  }
  return copy;
}

/** The operations that turn one document into another. */
export function difference(from: object, to: object): PatchOperation[] {
  return jsonPatch.compare(from, to);
}

/**
 * The same, with a test before every place it changes: applied to a document that says something
 * else there by now, it throws instead of writing over it.
 */
export function guardedDifference(from: object, to: object): PatchOperation[] {
  return jsonPatch.compare(from, to, true);
}

/** A patch without its tests: it writes over whatever stands there. */
export const unguarded = (patch: readonly PatchOperation[]): PatchOperation[] =>
  patch.filter((o) => o.op !== 'test');
