// A full workshop against an empty one: what the server does for the shelf, a job and the log.
import { randomUUID } from 'node:crypto';
import { Bench } from 'tinybench';
import { makeSetup } from '../tests/kit/setups';
import { LAKE_HOLLOW } from '../src/demo/lake-hollow';
import { getLog } from '../src/server/log';
import { getModel } from '../src/server/models';
import { listModels, workOutLines } from '../src/server/shelf';
import { storeModel } from '../src/demo/store';
import { openWorkshop, type Workshop } from '../src/server/workshop';

const MODELS = 500;
const ENTRIES = 50_000;

/** One model of the club with its evidence, and its shelf line worked out. */
async function small(): Promise<{ store: Workshop; id: string }> {
  const store = openWorkshop(':memory:');
  const id = 'model-0';
  storeModel(store, id, LAKE_HOLLOW[2]!());
  await workOutLines(store);
  return { store, id };
}

async function full(): Promise<{ store: Workshop; id: string }> {
  const { store, id } = await small();
  const setup = makeSetup();
  store.db.transaction(() => {
    for (let n = 1; n < MODELS; n++)
      store.models.create(`model-${n}`, { ...setup, name: `Model ${n}` }, 'Started', at(n));
    for (let n = 0; n < ENTRIES; n++)
      store.log.add(`model-${n % MODELS}`, {
        uid: randomUUID(),
        version: 1,
        kind: n % 3 === 0 ? 'preflight' : 'flight',
        at: at(n),
        title: `Pack ${n}`,
        place: 'north shore',
        seen: n % 97 === 0 ? 'a loon called' : 'nothing to note',
      });
  })();
  await workOutLines(store);
  return { store, id };
}

const at = (n: number) => new Date(Date.UTC(2025, 0, 1) + n * 600_000).toISOString();

/** Prints each page's time with everything in, over its time with one model. */
export async function workshopRatios(): Promise<void> {
  const one = await small();
  const many = await full();
  const pages: [string, (w: { store: Workshop; id: string }) => unknown][] = [
    ['shelf', ({ store }) => listModels(store)],
    ['job', ({ store, id }) => getModel(id, store)],
    ['log', ({ store, id }) => getLog(id, {}, store)],
    ['log, searched', ({ store, id }) => getLog(id, { text: 'loon' }, store)],
  ];
  for (const [name, page] of pages) {
    const bench = new Bench({ time: 400 });
    bench
      .add('one', async () => void (await page(one)))
      .add('many', async () => void (await page(many)));
    await bench.run();
    const latency = (task: string) => {
      const result = bench.getTask(task)!.result;
      return 'latency' in result ? result.latency.mean : NaN;
    };
    console.log(
      `${name}: ${MODELS} models and ${ENTRIES} entries / one model: ${(latency('many') / latency('one')).toFixed(1)}   (${latency('many').toFixed(1)} ms)`,
    );
  }
}
