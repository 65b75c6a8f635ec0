import type { PatchOperation } from '@/core/patch';

/** A patch of a part as a patch of what the part sits in. */
export function prefixed(at: string, patch: readonly PatchOperation[]): PatchOperation[] {
  return patch.map((o) => ({ ...o, path: at + o.path }));
}
