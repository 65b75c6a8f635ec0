import jsonPatch, { type Operation } from 'fast-json-patch';

/** RFC 6902 operation on a Setup. */
export type PatchOperation = Operation;

/**
 * A patched copy; the document itself is left alone.
 * @throws Error naming the operation when a path does not exist (RFC 6902 §5)
 */
export function applyPatch<T>(document: T, patch: readonly PatchOperation[]): T {
  return jsonPatch.applyPatch(document, patch as Operation[], true, false).newDocument as T;
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
