import { randomUUID } from 'node:crypto';
import { workOutLines } from '../server/shelf';
import { openWorkshop, dataFolder } from '../server/workshop';
import { LAKE_HOLLOW } from './lake-hollow';
import { storeModel } from './store';

/** Fills an empty database with the demo club; one with models in it is left alone. */
const store = openWorkshop(dataFolder());
if (store.models.count() === 0) {
  for (const make of LAKE_HOLLOW) storeModel(store, randomUUID().slice(0, 8), make());
  // Worked out once, so that the shelf is there at once.
  await workOutLines(store);
  console.log(`Demo club put on the shelf: ${LAKE_HOLLOW.length} models.`);
}
store.db.close();
