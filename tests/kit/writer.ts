// Saves a version, an observation and a log line round after round and says so each time; meant to
// be killed in the middle.
import { safely } from './bench';
import { addEntry } from '../../src/server/log';
import { addModel, getModel, recordObservation, saveSetup } from '../../src/server/models';
import { openWorkshop } from '../../src/server/workshop';
import { makeSetup } from './setups';

const store = openWorkshop(process.argv[2]!);
const heads = store.shelf.heads();
const id = heads[0]?.id ?? addModel(makeSetup(), 'Started', store).id;
for (;;) {
  const { version, setup } = getModel(id, store);
  const next = version + 1;
  const notes = `written as version ${next}`;
  saveSetup(id, { basedOn: version, label: 'Written', setup: { ...setup, notes } }, store);
  process.stdout.write(`version ${next}\n`);
  const seen = next % 2 ? 'pass' : 'fail';
  const bound = { check: 'test:identify', surface: 'bound', seen, version: next };
  await recordObservation(id, safely(bound), store);
  process.stdout.write(`seen ${next}\n`);
  await addEntry(id, { kind: 'note', at: new Date().toISOString(), title: `note ${next}` }, store);
  process.stdout.write(`note ${next}\n`);
}
