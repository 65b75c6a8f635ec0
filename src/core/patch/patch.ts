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

/**
 * A patched copy that shares everything the patch does not reach: for many small changes of one
 * document. Only `replace`, `add` to an object and `remove`, which is all that wrong entries are made of.
 * @throws Error for any other operation
 */
export function applyShared<T>(document: T, patch: readonly PatchOperation[]): T {
  let now = document;
  for (const operation of patch) {
    const keys = operation.path.split('/').slice(1).map(unescaped);
    now = changed(now, keys, operation) as T;
  }
  return now;
}

const unescaped = (key: string) => key.replaceAll('~1', '/').replaceAll('~0', '~');

function changed(at: unknown, keys: readonly string[], operation: PatchOperation): unknown {
  const [key, ...rest] = keys as [string, ...string[]];
  const copy = (Array.isArray(at) ? [...(at as unknown[])] : { ...(at as object) }) as Record<
    string,
    unknown
  >;
  if (rest.length > 0) copy[key] = changed(copy[key], rest, operation);
  else if (operation.op === 'remove') {
    if (Array.isArray(copy)) copy.splice(Number(key), 1);
    else delete copy[key];
  } else if (operation.op === 'replace' || (operation.op === 'add' && !Array.isArray(copy)))
    copy[key] = operation.value;
  else throw new Error(`${operation.op} at ${operation.path} cannot be shared`);
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
