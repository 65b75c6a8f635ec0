import { parseSetup } from '../core/setup';
import { stamp } from '../core/logbook';
import { keepSeen } from '../server/observations';
import type { Workshop } from '../server/workshop';
import type { DemoModel } from './kit';

/** Puts one model of the club into a workshop, with all its owner has seen and written. */
export function storeModel(store: Workshop, modelId: string, made: DemoModel): void {
  store.write(() => storeAll(store, modelId, made));
}

function storeAll(store: Workshop, modelId: string, { versions, seen, log }: DemoModel): void {
  versions.forEach(({ setup, label, at }, i) => {
    const valid = parseSetup(setup);
    if (!valid.ok) throw new Error(valid.problems.map((p) => `${p.path}: ${p.reason}`).join('\n'));
    store.models.restore({ modelId, version: i + 1, label, setup: valid.value, createdAt: at });
  });
  const [first] = versions;
  const stamped = seen.map((s) => ({ ...s, parts: stamp(first!.setup, s) }));
  keepSeen(store, modelId, 1, stamped, first!.at);
  for (const entry of log) store.log.add(modelId, entry);
}
