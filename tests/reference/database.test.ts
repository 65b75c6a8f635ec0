import { safely } from '../kit/bench';
import Database from 'better-sqlite3';
import { mkdtempSync, readFileSync, rmSync, truncateSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { migrate, migrations } from '@/db/migrate';
import { asFailure, type Failure } from '@/server/failure';
import { addEntry, getLog } from '@/server/log';
import { addModel, getModel, recordObservation, saveSetup } from '@/server/models';
import { listModels } from '@/server/shelf';
import { openWorkshop } from '@/server/workshop';
import { failureOf, refusalOf } from '../kit/failure';
import { makeSetup } from '../kit/setups';

let folder: string;
let file: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'tolvan-db-'));
  file = join(folder, 'tolvan.db');
});
afterEach(() => rmSync(folder, { recursive: true }));

/** The log came with the third schema. */
const titles = (upTo: number) => (upTo >= 3 ? ['Unter WÖLKEN'] : []);

describe('a database of every earlier schema', () => {
  it.each(migrations().map((m) => m.number))(
    'schema %i comes up to date with all that was in it',
    async (upTo) => {
      const old = new Database(file);
      migrate(
        old,
        migrations().filter((m) => m.number <= upTo),
      );
      const setup = makeSetup();
      old
        .prepare('INSERT INTO model (id, created_at) VALUES (?, ?)')
        .run('m', '2026-01-01T00:00:00Z');
      old
        .prepare(
          'INSERT INTO setup_version (model_id, version, label, setup, created_at) VALUES (?, ?, ?, ?, ?)',
        )
        .run('m', 1, 'Started', JSON.stringify(setup), '2026-01-01T00:00:00Z');
      old
        .prepare(
          'INSERT INTO evidence (model_id, version, subject, seen, parts, at) VALUES (?, ?, ?, ?, ?, ?)',
        )
        .run('m', 1, 'stick-roll aileron-left', 'down', '{}', '2026-01-01T00:00:00Z');
      if (upTo >= 3)
        old
          .prepare(
            'INSERT INTO log_entry (uid, model_id, version, kind, at, body) VALUES (?, ?, ?, ?, ?, ?)',
          )
          .run('line-1', 'm', 1, 'flight', '2026-01-02T00:00:00Z', '{"title":"Unter WÖLKEN"}');
      old.close();
      const store = openWorkshop(folder);
      expect(getModel('m', store)).toMatchObject({ version: 1, setup });
      expect(getModel('m', store).evidence).toHaveLength(1);
      expect((await listModels(store)).entries).toHaveLength(1);
      expect(getLog('m', {}, store).entries.map((e) => e.title)).toEqual(titles(upTo));
      expect(getLog('m', { text: 'wöLKE' }, store).entries.map((e) => e.title)).toEqual(
        titles(upTo),
      );
      saveSetup('m', { basedOn: 1, label: 'Now', setup: { ...setup, notes: 'new' } }, store);
      expect(store.db.pragma('integrity_check', { simple: true })).toBe('ok');
      store.db.close();
    },
  );
});

describe('a disk that is full', () => {
  it('is said, nothing is half written, and what was there stays', async () => {
    const store = openWorkshop(folder);
    const { id } = addModel(makeSetup(), 'Started', store);
    const pages = store.db.pragma('page_count', { simple: true }) as number;
    store.db.pragma(`max_page_count = ${pages + 2}`);
    const versions = () => getModel(id, store).version;
    let failure: Failure | undefined;
    for (let n = 0; n < 40 && !failure; n++) {
      const { version, setup } = getModel(id, store);
      const next = { ...setup, notes: 'x'.repeat(3900) + n };
      try {
        saveSetup(id, { basedOn: version, label: 'Written', setup: next }, store);
      } catch (error) {
        failure = asFailure(error) as Failure;
        expect(versions()).toBe(version);
      }
    }
    expect(failure).toMatchObject({ status: 507 });
    expect(failure!.problems[0]!.reason).toContain('disk is full');
    const note = { kind: 'flight', at: '2026-01-01T00:00:00Z', title: 'x', seen: 'y'.repeat(3900) };
    let written = 0;
    const until = async () => {
      for (; written < 40; written++) await addEntry(id, note, store);
    };
    expect((await refusalOf(until)).status).toBe(507);
    expect(getLog(id, {}, store).entries).toHaveLength(written);
    // With room again it goes on.
    store.db.pragma('max_page_count = 100000');
    const seen = { check: 'stick-roll', surface: 'aileron-left', seen: 'down', version: 1 };
    await recordObservation(id, safely({ ...seen, version: getModel(id, store).version }), store);
    await addEntry(id, note, store);
    expect(store.db.pragma('integrity_check', { simple: true })).toBe('ok');
    store.db.close();
  });
});

describe('a file that is damaged or held', () => {
  it.each([
    ['cut off in its header', () => truncateSync(file, 60)],
    ['overwritten at the start', () => overwrite(0, 200)],
  ])('%s: refused in words, byte for byte as it was', (_, damage) => {
    openWorkshop(folder).db.close();
    damage();
    const before = readFileSync(file);
    expect(() => openWorkshop(folder)).toThrow(/cannot be used.*not changed/);
    expect(readFileSync(file)).toEqual(before);
  });
  it('damaged further in: said where it is met, not as a fault of the request', () => {
    const made = openWorkshop(folder);
    const { id } = addModel(makeSetup(), 'Started', made);
    made.db.pragma('wal_checkpoint(TRUNCATE)');
    made.db.close();
    const size = readFileSync(file).length;
    overwrite(4096, size - 4096);
    const failure = failureOf(() => getModel(id, openWorkshop(folder)));
    expect(failure.status).toBe(503);
  });
  it('held by another program: said so, and taken when it is free', async () => {
    const store = openWorkshop(folder);
    const { id } = addModel(makeSetup(), 'Started', store);
    const other = new Database(file);
    other.exec('BEGIN IMMEDIATE');
    const seen = { check: 'stick-roll', surface: 'aileron-left', seen: 'down', version: 1 };
    expect((await refusalOf(() => recordObservation(id, safely(seen), store))).status).toBe(503);
    other.exec('COMMIT');
    other.close();
    expect((await recordObservation(id, safely(seen), store)).evidence).toHaveLength(1);
    store.db.close();
  });
  function overwrite(from: number, length: number) {
    const bytes = readFileSync(file);
    writeFileSync(file, bytes.fill(0x5a, from, from + length));
  }
});
