import { safely } from '../../tests/kit/bench';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { failureOf } from '../../tests/kit/failure';
import { makeSetup, watch } from '../../tests/kit/setups';
import { READY_IDS, readyMade } from '../core/catalogue/ready';
import { parseSetup, type Setup } from '../core/setup';
import { findingsOf } from '../core/verify';
import { OutdatedError } from '../db';
import { addEntry } from './log';
import { addModel, getModel, recordObservation } from './models';
import { listModels } from './shelf';
import {
  clearOff,
  copyModel,
  DAYS_KEPT,
  holdsOf,
  placeModel,
  renameModel,
  startReady,
} from './modelAdmin';
import { otherModel } from './other';
import { openWorkshop, type Workshop } from './workshop';

let store: Workshop;
beforeEach(() => {
  store = openWorkshop(':memory:');
});
afterEach(() => {
  store.db.close();
});

/** Where it is refused. */
const refusedAt = (work: () => unknown) => failureOf(work).problems[0]!.path;

/** A model with something seen and something written down. */
async function lived(name = 'Grebe'): Promise<string> {
  const setup = { ...makeSetup(), name };
  const { id } = addModel(setup, 'Started', store);
  const [seen] = watch(setup);
  await recordObservation(id, safely({ version: 1, ...seen }), store);
  await addEntry(id, { kind: 'note', at: '2026-01-02T10:00:00.000Z', title: 'Bench' }, store);
  return id;
}
const names = async (kept?: 'retired' | 'off', find = '') =>
  (await listModels(store, { ...(kept ? { kept } : {}), find })).entries.map((e) => e.name);

describe('a copy', () => {
  it('has everything decided, and nothing of what was seen, flown or worn', async () => {
    const id = await lived();
    const { setup } = getModel(id, store);
    const worn = structuredClone(setup);
    worn.installation.revisions.crash = 2;
    store.models.save(id, 1, worn, 'Crash', '2026-01-03T00:00:00.000Z');
    const copy = copyModel(id, {}, store).id;
    const made = getModel(copy, store);
    expect(made).toMatchObject({ version: 1, evidence: [] });
    expect(made.setup).toEqual({ ...setup, name: 'Grebe, copy' });
    expect(holdsOf(copy, store)).toMatchObject({ versions: 1, seen: 0, lines: 0 });
    expect(getModel(copyModel(id, { name: 'Teal' }, store).id, store).setup.name).toBe('Teal');
    // One is changed, the other stays.
    renameModel(copy, { basedOn: 1, name: 'Other' }, store);
    expect(getModel(id, store).setup.name).toBe('Grebe');
  });
  it('of a model with the longest of names is still within bounds', async () => {
    const id = await lived('x'.repeat(80));
    expect(getModel(copyModel(id, {}, store).id, store).setup.name).toHaveLength(79);
  });
});

describe('a model beside its copy', () => {
  it('the newest they have in common is found, from either side', () => {
    const { id } = addModel(makeSetup(), 'Started', store);
    const put = (of: string, basedOn: number, change: (s: Setup) => void) => {
      const setup = structuredClone(getModel(of, store).setup);
      change(setup);
      store.models.save(of, basedOn, setup, 'Changed', '2026-01-03T00:00:00.000Z');
    };
    put(id, 1, (s) => (s.notes = 'before the copy'));
    const copy = copyModel(id, {}, store).id;
    put(id, 2, (s) => (s.notes = 'here'));
    put(copy, 1, (s) => (s.notes = 'there'));
    const beside = otherModel(id, { with: copy }, store);
    expect(beside).toMatchObject({ name: 'Test model, copy', version: 2 });
    expect([beside.setup.notes, beside.base!.notes]).toEqual(['there', 'before the copy']);
    expect(otherModel(copy, { with: id }, store).base!.notes).toBe('before the copy');
  });
  it('strangers have none, and one that is not there is said', () => {
    const { id } = addModel(makeSetup(), 'Started', store);
    const other = addModel(makeSetup('v-tail'), 'Started', store).id;
    expect(otherModel(id, { with: other }, store).base).toBeUndefined();
    // Begun alike and each gone its way is not the same as copied.
    const alike = addModel(makeSetup(), 'Started', store).id;
    expect(otherModel(id, { with: alike }, store).base).toBeUndefined();
    const copied = copyModel(id, {}, store).id;
    expect(otherModel(id, { with: copied }, store).base).toBeDefined();
    expect(failureOf(() => otherModel(id, { with: 'nobody' }, store)).status).toBe(404);
  });
});

describe('another name', () => {
  it('is a version; with one saved in between it is refused', async () => {
    const id = await lived();
    expect(renameModel(id, { basedOn: 1, name: 'Smew' }, store)).toEqual({ version: 2 });
    expect(getModel(id, store).setup.name).toBe('Smew');
    expect(() => renameModel(id, { basedOn: 1, name: 'Teal' }, store)).toThrow(OutdatedError);
    expect(refusedAt(() => renameModel(id, { basedOn: 2, name: '  ' }, store))).toBe('/name');
  });
});

describe('put away and taken off', () => {
  it('stands where it was put, with tags it is found by, and comes back', async () => {
    const id = await lived();
    await lived('Teal');
    placeModel(id, { tags: ['Lake', 'lake', 'skis'] }, store);
    expect(await names(undefined, 'skis')).toEqual(['Grebe']);
    placeModel(id, { kept: 'retired' }, store);
    expect(await names()).toEqual(['Teal']);
    expect(await names('retired')).toEqual(['Grebe']);
    placeModel(id, { kept: 'off' }, store);
    expect((await listModels(store)).elsewhere).toEqual({ shelf: 1, retired: 0, off: 1 });
    placeModel(id, { kept: 'shelf' }, store);
    expect((await names()).toSorted()).toEqual(['Grebe', 'Teal']);
    expect((await listModels(store)).entries.find((e) => e.id === id)!.tags).toEqual([
      'lake',
      'skis',
    ]);
  });
  it('taken off it is gone after thirty days with all that is its own, not a day before, and nothing else is', async () => {
    const id = await lived();
    const other = await lived('Teal');
    await listModels(store);
    expect(holdsOf(id, store)).toMatchObject({ versions: 1, seen: 1, lines: 1, daysKept: 30 });
    placeModel(id, { kept: 'off' }, store);
    placeModel(other, { kept: 'retired' }, store);
    const day = 86_400_000;
    expect(clearOff(store, Date.now() + (DAYS_KEPT - 1) * day)).toBe(0);
    expect(clearOff(store, Date.now() + (DAYS_KEPT + 1) * day)).toBe(1);
    expect(failureOf(() => getModel(id, store))).toMatchObject({ status: 404 });
    for (const table of ['setup_version', 'evidence', 'log_entry', 'model_head'])
      expect(
        store.db.prepare(`SELECT count(*) FROM ${table} WHERE model_id = ?`).pluck().get(id),
      ).toBe(0);
    expect(getModel(other, store).evidence).toHaveLength(1);
  });
  it.each([
    [{ kept: 'attic' }, '/kept'],
    [{ tags: ['two words'] }, '/tags/0'],
    [{ tags: Array.from({ length: 9 }, (_, i) => `t${i}`) }, '/tags'],
    [{ colour: 'red' }, '/colour'],
  ])('%j is refused at %s', async (data, path) => {
    const id = await lived();
    expect(refusedAt(() => placeModel(id, data, store))).toBe(path);
  });
  it('a model there is not is not found', async () =>
    expect(failureOf(() => placeModel('nobody', { kept: 'off' }, store))).toMatchObject({
      status: 404,
    }));
});

describe('ready-made models', () => {
  it.each(READY_IDS)('%s: valid, and nothing found against it but notes', (id) => {
    const setup = readyMade(id, 'Mine');
    expect(parseSetup(setup)).toMatchObject({ ok: true });
    expect(setup.name).toBe('Mine');
    expect(findingsOf(setup).filter((f) => f.severity !== 'note')).toEqual([]);
  });
  it('stand on the shelf under a name of one’s own', () => {
    const { id } = startReady({ ready: 'drift-car', name: 'Stoat' }, store);
    expect(getModel(id, store).setup).toMatchObject({ name: 'Stoat', airframe: { kind: 'car' } });
    expect(refusedAt(() => startReady({ ready: 'rocket', name: 'X' }, store))).toBe('/ready');
  });
});
