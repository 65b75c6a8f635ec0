// Saves version after version and says so each time; meant to be killed in the middle.
import { addModel, getModel, saveSetup } from '../../src/server/models';
import { openWorkshop } from '../../src/server/workshop';
import { makeSetup } from './setups';

const store = openWorkshop(process.argv[2]!);
const heads = store.models.heads();
const id = heads[0]?.modelId ?? addModel(makeSetup(), 'Started', store).id;
for (;;) {
  const { version, setup } = getModel(id, store);
  const next = { ...setup, notes: `written as version ${version + 1}` };
  saveSetup(id, { basedOn: version, label: 'Written', setup: next }, store);
  process.stdout.write(`${version + 1}\n`);
}
