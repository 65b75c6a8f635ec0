import fc from 'fast-check';
import { strToU8, unzipSync, zipSync } from 'fflate';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { deflateRawSync } from 'node:zlib';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { refusalOf } from '../../../tests/kit/failure';
import { makeSetup } from '../../../tests/kit/setups';
import { share } from '../../../tests/kit/share';
import type { LogEntry } from '../../core/logbook';
import { LAKE_HOLLOW } from '../../../tests/kit/lake-hollow';
import { storeModel } from '../../demo/store';
import { recordEvent } from '../log';
import { exportLog, importLog } from '../log-csv/csv';
import { getModel } from '../models';
import { openWorkshop, type Workshop } from '../workshop';
import type { ArchivePreview } from './format';
import { previewStaged, takeInStaged } from './merge';
import { stageArchive } from './read';
import { writeArchive } from './write';

const AT = '2026-11-01T00:00:00.000Z';
let folder: string;
let store: Workshop;
let other: Workshop;
let files = 0;

beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'tolvan-archive-'));
});
afterAll(() => rmSync(folder, { recursive: true }));
beforeEach(() => {
  store = openWorkshop(':memory:');
  other = openWorkshop(':memory:');
});

const fill = (into: Workshop): void =>
  LAKE_HOLLOW.forEach((make, n) => storeModel(into, `model-${n}`, make()));
const fresh = (ending: string) => join(folder, `${++files}.${ending}`);

async function out(of: Workshop): Promise<Uint8Array> {
  const file = fresh('zip');
  await writeArchive(of, file, AT);
  return readFileSync(file);
}

/** Looks at an archive, and brings it in where asked. What was announced is what was done. */
async function bring(zip: Uint8Array, into: Workshop, take = true): Promise<ArchivePreview> {
  const file = fresh('zip');
  const staging = fresh('staging');
  writeFileSync(file, zip);
  const { madeAt } = await stageArchive(file, staging);
  const preview = previewStaged(into, staging, madeAt);
  if (take) expect(takeInStaged(into, staging, madeAt)).toEqual(preview);
  return preview;
}

const jsonOf = (zip: Uint8Array) => {
  const { 'tolvan.db': _, 'manifest.json': __, ...rest } = unzipSync(zip);
  return Object.fromEntries(Object.entries(rest).map(([k, v]) => [k, Buffer.from(v).toString()]));
};

/** An archive with some of its files changed, and the manifest as if they had always been so. */
async function resealed(
  zip: Uint8Array,
  change: (files: Record<string, Uint8Array>) => void,
): Promise<Uint8Array> {
  const { createHash } = await import('node:crypto');
  const { 'manifest.json': sealed, ...rest } = unzipSync(zip);
  change(rest);
  const manifest = JSON.parse(Buffer.from(sealed!).toString()) as { files: object };
  manifest.files = Object.fromEntries(
    Object.entries(rest).map(([n, b]) => [n, createHash('sha256').update(b).digest('hex')]),
  );
  return zipSync({ ...rest, 'manifest.json': strToU8(JSON.stringify(manifest)) }, { level: 1 });
}

describe('the whole workshop', () => {
  it('out, into an empty database, and out again is the same byte for byte', async () => {
    fill(store);
    const zip = await out(store);
    const done = await bring(zip, other);
    expect(done.models.map((m) => m.does)).toEqual(Array(LAKE_HOLLOW.length).fill('add'));
    expect(jsonOf(await out(other))).toEqual(jsonOf(zip));
    // A second time there is nothing to bring in.
    const again = await bring(zip, other, false);
    expect(again.models.every((m) => m.does === 'nothing')).toBe(true);
  });
  it('brings along what is retired and the words models are found by, and nothing that was taken off', async () => {
    fill(store);
    const [first, second, third] = store.shelf.heads();
    store.shelf.tag(first!.id, 'winter club');
    store.shelf.move(second!.id, 'retired', '2026-11-01T10:00:00.000Z');
    store.shelf.move(third!.id, 'off', '2026-11-01T10:00:00.000Z');
    const zip = await out(store);
    const done = await bring(zip, other);
    expect(done.models).toHaveLength(LAKE_HOLLOW.length - 1);
    expect(other.shelf.heads('winter').map((h) => [h.id, h.tags])).toEqual([
      [first!.id, 'winter club'],
    ]);
    expect(other.shelf.heads('', -1, 'retired').map((h) => h.id)).toEqual([second!.id]);
    expect(other.models.head(third!.id)).toBeUndefined();
    expect(jsonOf(await out(other))).toEqual(jsonOf(zip));
    const bad = await resealed(
      zip,
      (f) =>
        void (f[`models/${first!.id}.json`] = strToU8(
          Buffer.from(f[`models/${first!.id}.json`]!).toString().replace('"winter"', '"two words"'),
        )),
    );
    await expect(bring(bad, other)).rejects.toMatchObject({
      problems: [{ path: `/models/${first!.id}.json/tags/0`, reason: 'is one word' }],
    });
  });
  it('holds a database that opens', async () => {
    fill(store);
    const bytes = unzipSync(await out(store))['tolvan.db']!;
    const file = join(folder, 'copy');
    const { mkdirSync } = await import('node:fs');
    mkdirSync(file);
    writeFileSync(join(file, 'tolvan.db'), bytes);
    const copy = openWorkshop(file);
    expect(copy.models.count()).toBe(LAKE_HOLLOW.length);
    copy.db.close();
  });
  it('goes on where the other is behind, and refuses where both went on', async () => {
    fill(store);
    await bring(await out(store), other);
    recordEvent('model-0', { basedOn: 1, event: 'servo' }, store);
    const ahead = await out(store);
    const of = (preview: ArchivePreview) => preview.models.find((m) => m.id === 'model-0')!;
    expect(of(await bring(ahead, other, false)).does).toBe('extend');
    recordEvent('model-0', { basedOn: 1, event: 'crash' }, other);
    const before = getModel('model-0', other).setup;
    expect(of(await bring(ahead, other))).toMatchObject({
      does: 'refuse',
      words: expect.stringContaining('version 2') as string,
    });
    expect(getModel('model-0', other).setup).toEqual(before);
  });
  it('written with other blanks and its keys in another order, it is still the same', async () => {
    fill(store);
    const zip = await out(store);
    await bring(zip, other);
    const shuffled = (value: unknown): unknown =>
      Array.isArray(value)
        ? value.map(shuffled)
        : typeof value === 'object' && value !== null
          ? Object.fromEntries(
              Object.entries(value)
                .toReversed()
                .map(([k, v]) => [k, shuffled(v)]),
            )
          : value;
    const rewritten = await resealed(zip, (all) => {
      for (const name of Object.keys(all).filter((n) => n.endsWith('.json')))
        all[name] = strToU8(
          JSON.stringify(shuffled(JSON.parse(Buffer.from(all[name]!).toString())), null, '\t'),
        );
    });
    expect((await bring(rewritten, other, false)).models.map((m) => m.does)).toEqual(
      Array(LAKE_HOLLOW.length).fill('nothing'),
    );
  });
  it('changes nothing when any of it is wrong, and says where', async () => {
    fill(store);
    const whole = await out(store);
    const parts = unzipSync(whole);
    const spoil = async (change: (f: Record<string, Uint8Array>) => void) => {
      const copy = { ...parts };
      change(copy);
      const { problems } = await refusalOf(() => bring(zipSync(copy, { level: 0 }), other));
      expect(other.models.count()).toBe(0);
      return `${problems[0]!.path} ${problems[0]!.reason}`;
    };
    const text = Buffer.from(parts['models/model-1.json']!).toString();
    expect(
      await spoil((f) => void (f['models/model-1.json'] = strToU8(text.replace('Otter', 'Other')))),
    ).toContain('checksum');
    expect(await spoil((f) => void delete f['manifest.json'])).toContain('/manifest.json missing');
    expect(await spoil((f) => void delete f['models/model-1.json'])).toContain('model-1.json miss');
    expect(await spoil((f) => void (f['../../etc/passwd'] = strToU8('x')))).toMatch(
      /does not have|invalid/,
    );
    expect(await spoil((f) => void (f['models/../../x.json'] = strToU8('x')))).toMatch(
      /does not have|invalid/,
    );
    expect(await spoil((f) => void (f['models/extra.json'] = strToU8('{}')))).toContain('manifest');
  });
  it.each<[string, (model: Record<string, unknown[]>) => void, string]>([
    ['a version left out', (m) => m.versions!.unshift(m.versions![0]), '/versions/1/version'],
    ['no version', (m) => void (m.versions = []), '/versions'],
    [
      'a Setup with an unknown field',
      (m) => void ((m.versions![0] as { setup: { wings?: number } }).setup.wings = 2),
      '/versions/0/setup/wings',
    ],
    [
      'a line of a version there is not',
      (m) => void ((m.log![0] as { version: number }).version = 99),
      '/log/0/version',
    ],
    ['another id', (m) => void ((m as { id: unknown }).id = 'model-3'), '/id'],
    ['a field of its own', (m) => void (m.secrets = []), '/secrets'],
  ])('%s is told at its place', async (_, change, at) => {
    fill(store);
    const zip = await resealed(await out(store), (all) => {
      const name = 'models/model-2.json';
      const model = JSON.parse(Buffer.from(all[name]!).toString()) as Record<string, unknown[]>;
      change(model);
      all[name] = strToU8(JSON.stringify(model));
    });
    const { problems } = await refusalOf(() => bring(zip, other));
    expect(problems[0]!.path).toBe(`/models/model-2.json${at}`);
  });
  it('never throws anything but a refusal on rubbish', async () => {
    await fc.assert(
      fc.asyncProperty(fc.uint8Array({ maxLength: 400 }), async (bytes) => {
        expect((await refusalOf(() => bring(bytes, other))).status).toBe(422);
      }),
      { numRuns: 60 },
    );
  });
});

/** A zip of one file whose header states a size of its own choice. */
function lyingZip(name: string, contents: Uint8Array, stated: number): Uint8Array {
  const packed = deflateRawSync(contents);
  const nameBytes = Buffer.from(name);
  const header = (signature: number, central: boolean) => {
    const head = Buffer.alloc(central ? 46 : 30);
    head.writeUInt32LE(signature, 0);
    const at = central ? 10 : 8;
    head.writeUInt16LE(8, at);
    head.writeUInt32LE(packed.length, at + 10);
    head.writeUInt32LE(stated, at + 14);
    head.writeUInt16LE(nameBytes.length, at + 18);
    return head;
  };
  const local = Buffer.concat([header(0x04034b50, false), nameBytes, packed]);
  const central = Buffer.concat([header(0x02014b50, true), nameBytes]);
  const end = Buffer.alloc(22);
  end.writeUInt32LE(0x06054b50, 0);
  end.writeUInt16LE(1, 8);
  end.writeUInt16LE(1, 10);
  end.writeUInt32LE(central.length, 12);
  end.writeUInt32LE(local.length, 16);
  return Buffer.concat([local, central, end]);
}

describe('files that want to be more than they say', () => {
  /** How much memory the process came to hold meanwhile, in bytes. */
  async function grown(work: () => Promise<unknown>): Promise<number> {
    global.gc?.();
    const before = process.memoryUsage().rss;
    await work();
    return process.memoryUsage().rss - before;
  }
  it('inflation stops at the size that is stated', async () => {
    const zip = lyingZip('manifest.json', new Uint8Array(200_000_000), 1000);
    let reason = '';
    const bytes = await grown(async () => {
      reason = (await refusalOf(() => bring(zip, other))).problems[0]!.reason;
    });
    expect(reason).toMatch(/more bytes|too many bytes/i);
    expect(bytes).toBeLessThan(120_000_000);
  });
  const PIECES = [
    ['objects', '{},'],
    ['brackets', '['],
    ['blanks', '    '],
    ['numbers', '1,'],
  ] as const;
  it.each(share(PIECES, 4))(
    '60 million bytes of %s are refused early, in little memory',
    async (_, piece) => {
      fill(store);
      const contents = `{"id": "model-1", "log": [${piece.repeat(60_000_000 / piece.length)}`;
      const zip = await resealed(await out(store), (all) => {
        all['models/model-1.json'] = strToU8(contents);
      });
      let path = '';
      const bytes = await grown(async () => {
        path = (await refusalOf(() => bring(zip, other))).problems[0]!.path;
      });
      expect(path).toMatch(/^\/models\/model-1\.json/);
      expect(bytes).toBeLessThan(150_000_000);
    },
  );
});

describe('two workshops that give each other their logs and archives', () => {
  it('keep every line, whatever is brought where and how often', async () => {
    const MODELS = ['one', 'two'];
    /** A line by what it says: names may be given again, words may not be lost. */
    const said = (e: LogEntry) => `${e.at} ${e.title}`;
    const bag = (entries: readonly LogEntry[]) => {
      const counts: Record<string, number> = {};
      for (const e of entries) counts[said(e)] = (counts[said(e)] ?? 0) + 1;
      return counts;
    };
    /** Every line as often as the side that has it oftener: the least that may be there after a meeting. */
    const most = (a: Record<string, number>, b: Record<string, number>) =>
      Object.fromEntries(
        [...new Set([...Object.keys(a), ...Object.keys(b)])].map((k) => [
          k,
          Math.max(a[k] ?? 0, b[k] ?? 0),
        ]),
      );
    const csv = fc
      .array(fc.constantFrom('Ice', 'Gusts', 'Ice'), { minLength: 1, maxLength: 4 })
      .map((titles) => `at,title\r\n${titles.map((t) => `2026-02-01,${t}\r\n`).join('')}`);
    const act = fc.oneof(
      fc.record({ does: fc.constant('csv'), side: fc.nat(1), model: fc.nat(1), csv }),
      fc.record({ does: fc.constant('copy'), side: fc.nat(1), model: fc.nat(1), to: fc.nat(1) }),
      fc.record({ does: fc.constant('archive'), side: fc.nat(1) }),
    );
    await fc.assert(
      fc.asyncProperty(fc.array(act, { maxLength: 8 }), async (acts) => {
        const sides = [openWorkshop(':memory:'), openWorkshop(':memory:')] as const;
        for (const side of sides)
          for (const id of MODELS) side.models.create(id, makeSetup(), 'Started', AT);
        const of = (side: number, model: number) => sides[side]!.log.all(MODELS[model]!);
        for (const a of acts) {
          const before = [0, 1].map((s) => [0, 1].map((m) => bag(of(s, m))));
          if (a.does === 'csv' && 'csv' in a) {
            importLog(MODELS[a.model]!, a.csv, null, sides[a.side]!);
            const lines = a.csv.trim().split('\r\n').slice(1);
            const want = most(
              before[a.side]![a.model]!,
              bag(
                lines.map((l) => ({
                  ...({} as LogEntry),
                  at: new Date(2026, 1, 1).toISOString(),
                  title: l.split(',')[1]!,
                })),
              ),
            );
            expect(bag(of(a.side, a.model))).toEqual(want);
          } else if (a.does === 'copy' && 'to' in a) {
            const text = [...exportLog(MODELS[a.model]!, sides[a.side]!)].join('');
            importLog(MODELS[a.to]!, text, null, sides[1 - a.side]!);
            expect(bag(of(1 - a.side, a.to))).toMatchObject(
              most(before[1 - a.side]![a.to]!, before[a.side]![a.model]!),
            );
          } else {
            await bring(await out(sides[a.side]!), sides[1 - a.side]!);
            for (const m of [0, 1])
              expect(bag(of(1 - a.side, m))).toMatchObject(
                most(before[1 - a.side]![m]!, before[a.side]![m]!),
              );
          }
        }
        for (const side of sides) side.db.close();
      }),
      { numRuns: 40, seed: 7 },
    );
  }, 60_000);
});
