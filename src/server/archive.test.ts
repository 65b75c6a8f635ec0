import { strToU8, unzipSync, zipSync } from 'fflate';
import fc from 'fast-check';
import { beforeEach, describe, expect, it } from 'vitest';
import { failureOf } from '../../tests/kit/failure';
import { LAKE_HOLLOW } from '../demo/lake-hollow';
import { storeModel } from '../demo/store';
import { exportArchive, importArchive, previewArchive } from './archive';
import {
  addEntry,
  backTo,
  compareVersions,
  getLog,
  importLog,
  recordEvent,
  recordPreflight,
} from './log';
import { getModel } from './models';
import { preflightCard } from '../core/preflight';
import { openWorkshop, type Workshop } from './workshop';

const AT = '2026-11-01T00:00:00.000Z';
let store: Workshop;
let other: Workshop;

const fill = (into: Workshop): void =>
  LAKE_HOLLOW.forEach((make, n) => storeModel(into, `model-${n}`, make()));

beforeEach(() => {
  store = openWorkshop(':memory:');
  other = openWorkshop(':memory:');
});

const withoutDatabase = (zip: Uint8Array) => {
  const { 'tolvan.db': _, 'manifest.json': __, ...rest } = unzipSync(zip);
  return Object.fromEntries(Object.entries(rest).map(([k, v]) => [k, Buffer.from(v).toString()]));
};

describe('the whole workshop', () => {
  it('out, into an empty database, and out again is the same byte for byte', () => {
    fill(store);
    const zip = exportArchive(store, AT);
    const done = importArchive(zip, other);
    expect(done.models.map((m) => m.does)).toEqual(Array(LAKE_HOLLOW.length).fill('add'));
    expect(withoutDatabase(exportArchive(other, AT))).toEqual(withoutDatabase(zip));
    // A second time there is nothing to bring in.
    expect(previewArchive(zip, other).models.every((m) => m.does === 'nothing')).toBe(true);
  });
  it('holds a database that opens', () => {
    fill(store);
    const bytes = unzipSync(exportArchive(store, AT))['tolvan.db']!;
    expect(Buffer.from(bytes.slice(0, 15)).toString()).toBe('SQLite format 3');
  });
  it('goes on where the other is behind, and refuses where both went on', () => {
    fill(store);
    importArchive(exportArchive(store, AT), other);
    recordEvent('model-0', { basedOn: 1, event: 'servo' }, store);
    const ahead = exportArchive(store, AT);
    expect(previewArchive(ahead, other).models.find((m) => m.id === 'model-0')!.does).toBe(
      'extend',
    );
    recordEvent('model-0', { basedOn: 1, event: 'crash' }, other);
    const preview = previewArchive(ahead, other).models.find((m) => m.id === 'model-0')!;
    expect(preview).toMatchObject({
      does: 'refuse',
      words: expect.stringContaining('version 2') as string,
    });
    const before = getModel('model-0', other).setup;
    importArchive(ahead, other);
    expect(getModel('model-0', other).setup).toEqual(before);
  });
  it('changes nothing when any of it is wrong, and says where', () => {
    fill(store);
    const files = unzipSync(exportArchive(store, AT));
    const spoil = (change: (f: Record<string, Uint8Array>) => void) => {
      const copy = { ...files };
      change(copy);
      const { problems } = failureOf(() => importArchive(zipSync(copy, { level: 0 }), other));
      expect(other.models.count()).toBe(0);
      return `${problems[0]!.path} ${problems[0]!.reason}`;
    };
    expect(spoil((f) => void (f['models/model-1.json'] = strToU8('{}')))).toContain('checksum');
    expect(spoil((f) => void delete f['manifest.json'])).toContain('/manifest.json missing');
    expect(spoil((f) => void delete f['models/model-1.json'])).toContain('model-1.json missing');
    expect(spoil((f) => void (f['../../etc/passwd'] = strToU8('x')))).toContain('does not have');
    expect(spoil((f) => void (f['models/../../x.json'] = strToU8('x')))).toContain('does not have');
    expect(spoil((f) => void (f['models/extra.json'] = strToU8('{}')))).toContain('manifest');
  });
  it('never throws anything but a refusal on rubbish', () => {
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 400 }), (bytes) => {
        expect(failureOf(() => importArchive(bytes, other)).status).toBe(422);
      }),
    );
  });
});

describe('the log', () => {
  beforeEach(() => fill(store));
  it('keeps flights, finds them by kind and by words', () => {
    const before = getLog('model-4', {}, store).entries.length;
    addEntry(
      'model-4',
      { kind: 'flight', at: AT, title: 'First ice', seen: '50% grip, 100 % fun' },
      store,
    );
    expect(getLog('model-4', {}, store).entries).toHaveLength(before + 1);
    expect(getLog('model-4', { text: '50% grip' }, store).entries).toHaveLength(1);
    expect(getLog('model-4', { text: 'fun ice 2026-11' }, store).entries).toHaveLength(1);
    expect(getLog('model-4', { text: '5__ grip' }, store).entries).toHaveLength(0);
    // Words of the entry, not of how it is kept.
    expect(getLog('model-4', { text: 'title' }, store).entries).toHaveLength(0);
    expect(getLog('model-4', { kind: 'event' }, store).entries).toHaveLength(0);
    expect(
      failureOf(() => addEntry('model-4', { kind: 'event', at: AT, title: 'x' }, store)).status,
    ).toBe(422);
  });
  it('an event makes a version and stales what depends on it; back is a version too', () => {
    const view = recordEvent('model-2', { basedOn: 1, event: 'moved', note: 'new tape' }, store);
    expect(view.setup.installation.revisions.unitMoved).toBe(1);
    expect(compareVersions('model-2', { from: 1, to: 2 }, store).differences).toEqual([
      { what: 'installation · revisions', words: 'unit moved 0 → 1' },
    ]);
    const back = backTo('model-2', { basedOn: 2, to: 1 }, store);
    expect(back.version).toBe(3);
    // What happened stays happened.
    expect(back.setup.installation.revisions.unitMoved).toBe(1);
    expect(failureOf(() => backTo('model-2', { basedOn: 1, to: 1 }, store)).status).toBe(409);
    expect(
      failureOf(() => recordEvent('model-2', { basedOn: 3, event: 'party' }, store)).status,
    ).toBe(422);
  });
  it('a preflight check is evidence and a line, passed only when all of it was so', () => {
    const card = preflightCard(getModel('model-5', store).setup);
    const answers = Object.fromEntries(card.map((c) => [c.item, 'pass']));
    recordPreflight('model-5', { place: 'harbour', answers }, store);
    expect(getLog('model-5', { kind: 'preflight' }, store).entries[0]).toMatchObject({
      result: 'passed',
      place: 'harbour',
    });
    const { [card[0]!.item]: _, ...some } = answers;
    recordPreflight('model-5', { answers: some }, store);
    expect(getLog('model-5', { kind: 'preflight' }, store).entries[0]!.result).toBe('failed');
    expect(
      failureOf(() => recordPreflight('model-5', { answers: { nothing: 'pass' } }, store)).status,
    ).toBe(422);
  });
  it('takes a CSV in whole or not at all, and no line twice', () => {
    const good = 'at,title,kind\r\n2026-02-01T10:00:00Z,Ice,flight\r\n2026-02-02,More,note\r\n';
    expect(importLog('model-4', good, store)).toEqual({ added: 2 });
    expect(importLog('model-4', good, store)).toEqual({ added: 0 });
    const bad = `${good}never,x,note\r\n`;
    expect(failureOf(() => importLog('model-4', bad, store)).problems[0]!.path).toBe('/line 4');
    expect(() => store.db.exec("UPDATE log_entry SET at = 'x'")).toThrow(/append-only/);
  });
});
