import type { Setup } from '../core/setup';
import type { StoredVersion } from '../db';
import { changedSince, notFound } from './failure';
import { ask, type Stamped } from './judge';
import type { Workshop } from './workshop';

/** The newest version of a model. @throws Failure 404 */
export function headOf(store: Workshop, id: string): StoredVersion {
  const head = store.models.head(id);
  if (!head) throw notFound('this model');
  return head;
}

/** One version of a model. @throws Failure 404 */
export function versionOf(store: Workshop, id: string, version: number): StoredVersion {
  const found = store.models.version(id, version);
  if (!found) throw notFound(`version ${version} of this model`);
  return found;
}

/**
 * Refuses answers given on an earlier version when something they depend on has changed since,
 * unless the person has looked at that and keeps them as what was seen then.
 * @throws Failure 409 with what changed
 */
export async function mustStillHold(
  seen: readonly Stamped[],
  on: number,
  head: { version: number; setup: Setup },
): Promise<void> {
  if (on === head.version) return;
  const changed = await ask('changedSince', head.setup, seen);
  if (changed.length > 0) throw changedSince(on, head.version, changed);
}

/** Keeps what was seen on a version of a model. Belongs into a `write`. */
export function keepSeen(
  store: Workshop,
  modelId: string,
  version: number,
  seen: readonly Stamped[],
  at = new Date().toISOString(),
): void {
  for (const one of seen) store.evidence.add(modelId, { ...one, version, at });
}
