// The built server under what would once have stopped it: how long others wait meanwhile.
import { createHash } from 'node:crypto';
import { strToU8, zipSync } from 'fflate';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { serve } from '../scripts/serve.mjs';
import { LAKE_HOLLOW } from '../src/demo/lake-hollow';
import { storeModel } from '../src/demo/store';
import { openWorkshop } from '../src/server/workshop';
import { largeSetup } from '../tests/kit/large';
import type { Setup } from '../src/core/setup';
import { makeSetup } from '../tests/kit/setups';

const PORT = 4599;
const address = `http://127.0.0.1:${PORT}`;

/** Memory the process holds, in megabytes. */
const memoryOf = (pid: number) =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1]) / 1000;

const median = (values: number[]) => values.toSorted((a, b) => a - b)[values.length >> 1]!;

async function timed(path: string): Promise<number> {
  const start = performance.now();
  await (await fetch(address + path)).arrayBuffer();
  return performance.now() - start;
}

/** How long a request takes, one after another, for so long. */
async function latencies(path: string, forMs: number): Promise<number[]> {
  const until = performance.now() + forMs;
  const found: number[] = [];
  do found.push(await timed(path));
  while (performance.now() < until);
  return found;
}

const p99 = (values: number[]) =>
  values.toSorted((a, b) => a - b)[Math.floor(values.length * 0.99)]!;

const saved = (id: string, body: object) =>
  fetch(`${address}/api/models/${id}/setup`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });

interface View {
  version: number;
  setup: Setup;
}
const viewOf = async (id: string) =>
  (await (await fetch(`${address}/api/models/${id}`)).json()) as View;

/** Opens a model and edits it, again and again. @returns how long each took */
async function reading(id: string, open: string, until: () => boolean): Promise<number[]> {
  const found: number[] = [];
  for (let n = 0; !until(); n++) {
    const start = performance.now();
    await (await fetch(`${address}${open}`)).arrayBuffer();
    const { version, setup } = await viewOf(id);
    await saved(id, { basedOn: version, label: 'Edited', setup: { ...setup, notes: `${n}` } });
    found.push(performance.now() - start);
  }
  return found;
}

/** Ten people read and save their own models, without and with one at every limit opened and edited meanwhile. */
async function tenBesideAHeavyOne(): Promise<void> {
  const make = async (setup: Setup) => {
    const made = await fetch(`${address}/api/import`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(setup),
    });
    return ((await made.json()) as { id: string }).id;
  };
  const ids = await Promise.all(
    Array.from({ length: 10 }, (_, n) => make({ ...makeSetup(), name: `One of ten, ${n}` })),
  );
  const heavy = await make({ ...largeSetup(12), name: 'At the limits' });
  const round = async (withHeavy: boolean) => {
    const end = performance.now() + 12_000;
    const until = () => performance.now() > end;
    const others = Promise.all(ids.map((id) => reading(id, `/models/${id}/program`, until)));
    const beside = withHeavy ? reading(heavy, `/models/${heavy}/program`, until) : undefined;
    const found = p99((await others).flat());
    await beside;
    return found;
  };
  await round(false);
  const rounds: number[] = [];
  for (let n = 0; n < 3; n++) {
    const without = await round(false);
    rounds.push((await round(true)) / without);
  }
  console.log(
    `ten who read and save, p99 beside a model at the limits / without it: ${median(rounds).toFixed(2)}   (aim ≤ 2)`,
  );
}

function bombs(): [string, Uint8Array][] {
  const sealed = (contents: string) => {
    const files = { 'models/a.json': strToU8(contents), 'hangar.json': strToU8('[]') };
    const sums = Object.fromEntries(
      Object.entries(files).map(([n, b]) => [n, createHash('sha256').update(b).digest('hex')]),
    );
    const manifest = {
      format: 'tolvan-archive',
      version: 1,
      madeAt: '2026-01-01T00:00:00Z',
      files: sums,
    };
    return zipSync({ ...files, 'manifest.json': strToU8(JSON.stringify(manifest)) }, { level: 9 });
  };
  const of = (piece: string, bytes: number) =>
    sealed(`{"id":"a","versions":[${piece.repeat(bytes / piece.length)}`);
  return [
    ['60 MB of objects', of('{},', 60e6)],
    ['60 MB of brackets', of('[', 60e6)],
    ['240 MB of objects', of('{},', 240e6)],
  ];
}

/** Prints ratios within one run, and what the worst file costs. */
export async function serverRatios(): Promise<void> {
  // Made first: it takes seconds, in which no connection is looked after.
  const prepared = bombs();
  const folder = mkdtempSync(join(tmpdir(), 'tolvan-bench-'));
  const store = openWorkshop(folder);
  LAKE_HOLLOW.forEach((make, n) => storeModel(store, `model-${n}`, make()));
  store.db.close();
  const server = serve(PORT, { env: { ...process.env, TOLVAN_DATA: folder }, stdio: 'ignore' });
  try {
    for (let tries = 0; tries < 100; tries++) {
      if (
        await timed('/').then(
          () => true,
          () => false,
        )
      )
        break;
      await new Promise((resolve) => setTimeout(resolve, 200));
    }
    await tenBesideAHeavyOne();
    const quiet = median(await latencies('/api/models/model-2', 2000));

    const made = await fetch(`${address}/api/import`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ ...largeSetup(), name: 'Too large' }),
    });
    const { id } = (await made.json()) as { id: string };
    await timed('/');
    const say = (what: string, found: number[]) =>
      console.log(
        `a request ${what} / without it: ${(median(found) / quiet).toFixed(2)}   (worst ${Math.max(...found).toFixed(0)} ms)`,
      );
    say(
      'while the shelf works out a model whose proof is too large',
      await latencies('/api/models/model-2', 6000),
    );
    const asked = fetch(`${address}/api/models/${id}/paper?what=job`);
    say('while somebody waits for its paper as well', await latencies('/api/models/model-2', 6000));
    await (await asked).arrayBuffer();
    const own = await fetch(`${address}/models/${id}/plain-model`);
    await own.arrayBuffer();
    if (!own.ok) throw new Error(`its own page does not open: ${own.status}`);

    for (const [name, zip] of prepared) {
      const before = memoryOf(server.pid!);
      let most = before;
      const watch = setInterval(() => (most = Math.max(most, memoryOf(server.pid!))), 20);
      const start = performance.now();
      const sent = (await (
        await fetch(`${address}/api/archive/in`, {
          method: 'POST',
          body: new Uint8Array(zip),
          headers: { 'content-type': 'application/octet-stream' },
        })
      ).json()) as { id: string };
      const others: number[] = [];
      let state = 'working';
      while (state === 'working') {
        others.push(await timed('/api/models/model-2'));
        const task = await fetch(`${address}/api/archive/tasks/${sent.id}`);
        ({ state } = (await task.json()) as { state: string });
      }
      clearInterval(watch);
      console.log(
        `${name} in ${(zip.length / 1000).toFixed(0)} kB: ${state} after ${((performance.now() - start) / 1000).toFixed(2)} s, ${(most - before).toFixed(0)} MB, others at most ${Math.max(...others).toFixed(0)} ms`,
      );
    }

    const shelf = async () => median(await latencies('/', 2000));
    const few = await shelf();
    const more = openWorkshop(folder);
    more.write(() => {
      for (let n = 0; n < 2000; n++)
        more.models.create(
          `many-${n}`,
          { ...makeSetup(), name: `Model ${n}` },
          'Started',
          new Date(Date.UTC(2026, 0, 1) + n * 1000).toISOString(),
        );
    });
    more.db.close();
    await shelf();
    console.log(
      `shelf of 2 000 models / shelf of 7: ${((await shelf()) / few).toFixed(1)}   (aim ≤ 10)`,
    );
  } finally {
    server.kill();
    rmSync(folder, { recursive: true, force: true });
  }
}
