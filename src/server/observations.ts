import { stamp, type Evidence } from '../core/logbook';
import type { StoredVersion } from '../db';
import { notFound } from './failure';
import type { Workshop } from './workshop';

/** The newest version of a model. @throws Failure 404 */
export function headOf(store: Workshop, id: string): StoredVersion {
  const head = store.models.head(id);
  if (!head) throw notFound('this model');
  return head;
}

/** Keeps what was seen on a version of a model, stamped with what it depends on. */
export function keepSeen(
  store: Workshop,
  on: Pick<StoredVersion, 'modelId' | 'version' | 'setup'>,
  seen: Pick<Evidence, 'check' | 'surface' | 'seen'>,
  at = new Date().toISOString(),
): void {
  store.evidence.add(on.modelId, {
    ...seen,
    parts: stamp(on.setup, seen),
    version: on.version,
    at,
  });
}
