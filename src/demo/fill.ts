import { stamp } from '../core/logbook';
import { parseSetup } from '../core/setup';
import { openWorkshop, dataFolder } from '../server/workshop';
import { addModel } from '../server/models';
import { LAKE_HOLLOW } from './lake-hollow';

/** Fills an empty database with the demo club; one with models in it is left alone. */
const store = openWorkshop(dataFolder());
if (store.models.count() === 0) {
  for (const make of LAKE_HOLLOW) {
    const { setup, label, seen } = make();
    const valid = parseSetup(setup);
    if (!valid.ok) throw new Error(valid.problems.map((p) => `${p.path}: ${p.reason}`).join('\n'));
    const { id } = addModel(valid.value, label, store);
    for (const observation of seen)
      store.evidence.add(id, {
        ...observation,
        parts: stamp(setup, observation),
        version: 1,
        at: new Date().toISOString(),
      });
  }
  console.log(`Demo club put on the shelf: ${LAKE_HOLLOW.length} models.`);
}
store.db.close();
