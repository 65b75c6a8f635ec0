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
