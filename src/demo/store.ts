import { parseSetup } from '../core/setup';
import { keepSeen } from '../server/observations';
import type { Workshop } from '../server/workshop';
import type { DemoModel } from './kit';

/** Puts one model of the club into a workshop, with all its owner has seen and written. */
export function storeModel(store: Workshop, modelId: string, made: DemoModel): void {
  const { versions, seen, log } = made;
  versions.forEach(({ setup, label, at }, i) => {
    const valid = parseSetup(setup);
    if (!valid.ok) throw new Error(valid.problems.map((p) => `${p.path}: ${p.reason}`).join('\n'));
    store.models.restore({ modelId, version: i + 1, label, setup: valid.value, createdAt: at });
  });
  const [first] = versions;
  for (const observation of seen)
    keepSeen(store, { modelId, version: 1, setup: first!.setup }, observation, first!.at);
  for (const entry of log) store.log.add(modelId, entry);
}
