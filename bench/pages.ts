import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { serve } from '../scripts/serve.mjs';
import { STATION_IDS } from '../src/core/procedure';

/** What a bare page of the same framework may be exceeded by. */
const AIM = 1.8;
const PORT = 4466;
const BASE = `http://127.0.0.1:${PORT}`;

/** Gzip bytes of every script a served page asks for before anything is pressed. */
async function firstLoad(path: string, known: Map<string, number>): Promise<number> {
  const html = await (await fetch(`${BASE}${path}`)).text();
  const scripts = new Set(
    [...html.matchAll(/(?:src|href)="(\/_next\/static\/[^"]+\.js)[^"]*"/g)].map((m) => m[1]!),
  );
  let sum = 0;
  for (const script of scripts) {
    if (!known.has(script)) {
      const body = Buffer.from(await (await fetch(`${BASE}${script}`)).arrayBuffer());
      known.set(script, gzipSync(body).length);
    }
    sum += known.get(script)!;
  }
  return sum;
}

/** First-load JavaScript of every station as a ratio to a bare page of the same framework, after a build. */
export async function pageRatios(): Promise<void> {
  const server = serve(PORT, {
    env: { ...process.env, TOLVAN_DATA: mkdtempSync(join(tmpdir(), 'tolvan-pages-')) },
    stdio: 'ignore',
  });
  try {
    for (let i = 0; i < 100; i++) {
      if (
        await fetch(BASE).then(
          () => true,
          () => false,
        )
      )
        break;
      await new Promise((resolve) => setTimeout(resolve, 200));
    }
    const made = await fetch(`${BASE}/api/models`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({
        name: 'Weighed',
        kind: 'conventional',
        ailerons: 'y-lead',
        unit: 'menu-receiver',
        transmitter: 'line-sixteen',
      }),
    });
    const { id } = (await made.json()) as { id: string };
    const known = new Map<string, number>();
    const bare = await firstLoad('/nothing-lies-here', known);
    const rows = [['shelf', '/'], ...STATION_IDS.map((s) => [s, `/models/${id}/${s}`])];
    console.log(
      `first-load JavaScript / bare page (${(bare / 1024).toFixed(0)} kB gzip)   (aim ≤ ${AIM})`,
    );
    for (const [name, path] of rows)
      console.log(`  ${name}: ${((await firstLoad(path!, known)) / bare).toFixed(2)}`);
  } finally {
    server.kill();
  }
}
