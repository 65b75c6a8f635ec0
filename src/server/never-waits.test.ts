import { afterAll, expect, it, vi } from 'vitest';
import { largeSetup } from '../../tests/kit/large';
import { makeSetup } from '../../tests/kit/setups';

/*
 * What answers requests never works a proof out: one heavy model would keep everybody waiting. Here any
 * proof throws, and every use case that is not asked in a thread is used on a program at the limits.
 */
// What other tests have loaded in this process already would not be the mocked one, and must not stay it.
vi.resetModules();
vi.doMock('../core/verify/explore/reach', async (original) => ({
  ...(await original<object>()),
  reach: () => {
    throw new Error('a proof was worked out where requests are answered');
  },
}));
afterAll(() => {
  vi.doUnmock('../core/verify/explore/reach');
  vi.resetModules();
});

const { wayOf } = await import('../core/procedure');
const { openWorkshop } = await import('./workshop');
const { addModel, getModel, importSetup, saveSetup } = await import('./models');
const { compareVersions, getLog, recordEvent } = await import('./log');
const { exportLog, importLog } = await import('./log-csv/csv');
const { copyModel, holdsOf, placeModel, renameModel } = await import('./modelAdmin');
const { otherModel } = await import('./other');

it('the guard itself: a proof of this program throws', async () => {
  const { prove } = await import('../core/verify');
  expect(() => prove(largeSetup(3))).toThrow('where requests are answered');
});

it('a model at the limits is opened, edited, copied, renamed, compared and logged without a proof', () => {
  const store = openWorkshop(':memory:');
  const heavy = largeSetup(12);
  const { id } = addModel(heavy, 'Started', store);
  const { setup, version } = getModel(id, store);
  saveSetup(id, { basedOn: version, label: 'Changed', setup: { ...setup, notes: 'new' } }, store);
  const copy = copyModel(id, {}, store).id;
  renameModel(copy, { basedOn: 1, name: 'Other' }, store);
  recordEvent(id, { basedOn: 2, event: 'crash' }, store);
  placeModel(id, { tags: ['heavy'] }, store);
  importLog(id, 'at,title,kind\r\n2026-02-01T10:00:00Z,Ice,note\r\n', null, store);
  expect(compareVersions(id, { from: 1, to: 2 }, store).differences).toHaveLength(1);
  expect(otherModel(copy, { with: id }, store).base).toBeDefined();
  expect(getLog(id, {}, store).entries).toHaveLength(2);
  expect([...exportLog(id, store)].join('')).toContain('Ice');
  expect(holdsOf(id, store).versions).toBe(3);
  expect(importSetup(JSON.stringify(heavy), store).id).toBeDefined();
  store.db.close();
});

it('the way beside every page is drawn without a proof', () => {
  const car = makeSetup('car', 'steering-receiver', 'surface-four');
  for (const setup of [largeSetup(12), car]) {
    const way = wayOf({ setup, evidence: [], findings: undefined });
    expect(way.flatMap((p) => p.places).length).toBeGreaterThan(15);
  }
});
