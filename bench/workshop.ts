// A full workshop against the demo club's: how long each served page and list takes.
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Bench } from 'tinybench';
import { serve } from '../scripts/serve.mjs';
import { makeSetup } from '../tests/kit/setups';
import { LAKE_HOLLOW } from '../src/demo/lake-hollow';
import { storeModel } from '../src/demo/store';
import { workOutLines } from '../src/server/shelf';
import { openWorkshop } from '../src/server/workshop';

const MODELS = 2_000;
const ENTRIES = 500_000;
/** What a page may take with everything in, over what it takes with the demo club. */
const AIM = 4;
/** A model of the demo club: both workshops have it. */
const OPEN = 'model-2';

const at = (n: number) => new Date(Date.UTC(2025, 0, 1) + n * 600_000).toISOString();

/** The demo club in a folder of its own, with other models and lines of the log in all of them. */
async function fill(models: number, entries: number): Promise<string> {
  const folder = mkdtempSync(join(tmpdir(), 'tolvan-workshop-'));
  const store = openWorkshop(folder);
  LAKE_HOLLOW.forEach((make, n) => storeModel(store, `model-${n}`, make()));
  const setup = makeSetup();
  store.db.transaction(() => {
    for (let n = LAKE_HOLLOW.length; n < models; n++)
      store.models.create(`model-${n}`, { ...setup, name: `Model ${n}` }, 'Started', at(n));
    for (let n = 0; n < entries; n++)
      store.log.add(`model-${n % models}`, {
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
  store.db.close();
  return folder;
}

async function open(folder: string, port: number): Promise<() => void> {
  const env = { ...process.env, TOLVAN_DATA: folder };
  const server = serve(port, { env, stdio: 'ignore' });
  const answers = () => fetch(`http://127.0.0.1:${port}/`).then(...[() => true, () => false]);
  while (!(await answers())) await new Promise((resolve) => setTimeout(resolve, 200));
  return () => {
    server.kill();
    rmSync(folder, { recursive: true, force: true });
  };
}

/** Prints each page's and list's time with everything in, over its time with the demo club. */
export async function workshopRatios(): Promise<void> {
  const workshops = { demo: 4590, full: 4591 };
  const closeDemo = await open(await fill(LAKE_HOLLOW.length, 0), workshops.demo);
  const closeFull = await open(await fill(MODELS, ENTRIES), workshops.full);
  const pages = {
    shelf: '/',
    'shelf, searched': '/?find=mer',
    job: `/models/${OPEN}/plan`,
    logbook: `/models/${OPEN}/logbook`,
    log: `/api/models/${OPEN}/log`,
    'log, searched': `/api/models/${OPEN}/log?text=loon`,
    hangar: '/hangar',
  };
  try {
    for (const [name, path] of Object.entries(pages)) {
      const bench = new Bench({ time: 1000, throws: true });
      for (const [workshop, port] of Object.entries(workshops))
        bench.add(workshop, async () => {
          const answer = await fetch(`http://127.0.0.1:${port}${path}`);
          if (!answer.ok) throw new Error(`${path}: ${answer.status}`);
          await answer.arrayBuffer();
        });
      await bench.run();
      const meanMs = (workshop: string) => {
        const result = bench.getTask(workshop)!.result;
        return 'latency' in result ? result.latency.mean : NaN;
      };
      const ratio = meanMs('full') / meanMs('demo');
      console.log(
        `${name}: ${MODELS} models and ${ENTRIES} lines of log / demo: ${ratio.toFixed(1)}   (aim ≤ ${AIM})`,
      );
    }
  } finally {
    closeDemo();
    closeFull();
  }
}
