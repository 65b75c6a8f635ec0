import { randomUUID } from 'node:crypto';
import { parseSetup } from '../core/setup';
import { keepSeen } from '../server/observations';
import { listModels } from '../server/shelf';
import { openWorkshop, dataFolder } from '../server/workshop';
import { LAKE_HOLLOW } from './lake-hollow';

/** Fills an empty database with the demo club; one with models in it is left alone. */
const store = openWorkshop(dataFolder());
if (store.models.count() === 0) {
  for (const make of LAKE_HOLLOW) {
    const { versions, seen, log } = make();
    const modelId = randomUUID().slice(0, 8);
    versions.forEach(({ setup, label, at }, i) => {
      const valid = parseSetup(setup);
      if (!valid.ok)
        throw new Error(valid.problems.map((p) => `${p.path}: ${p.reason}`).join('\n'));
      store.models.restore({
        modelId,
        version: i + 1,
        label,
        setup: valid.value,
        createdAt: at,
      });
    });
    const [first] = versions;
    for (const observation of seen)
      keepSeen(store, { modelId, version: 1, setup: first!.setup }, observation, first!.at);
    for (const entry of log) store.log.add(modelId, entry);
  }
  // Worked out once, so that the shelf is there at once.
  listModels(store);
  console.log(`Demo club put on the shelf: ${LAKE_HOLLOW.length} models.`);
}
store.db.close();
