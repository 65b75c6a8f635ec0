import { safely } from '../../tests/kit/bench';
import Database from 'better-sqlite3';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { observedDirections } from '../core/logbook';
import type { Setup } from '../core/setup';
import { listModels } from './shelf';
import { failureOf, refusalOf } from '../../tests/kit/failure';
import { makeSetup, watch } from '../../tests/kit/setups';
import { OutdatedError, openDatabase } from '../db';
import { migrate, migrations } from '../db/migrate';
import type { Failure } from './failure';
import {
  addModel,
  applyRemedy,
  createModel,
  getModel,
  importSetup,
  recordObservation,
  saveSetup,
} from './models';
import { openWorkshop, type Workshop } from './workshop';

let store: Workshop;
beforeEach(() => {
  store = openWorkshop(':memory:');
});
afterEach(() => {
  store.db.close();
});

const ANSWERS = {
  name: 'Grebe',
  kind: 'conventional',
  ailerons: 'y-lead',
  unit: 'menu-receiver',
  transmitter: 'line-sixteen',
};

/** How many directions stand how. */
function statuses(id: string): Record<string, number> {
  const { setup, evidence } = getModel(id, store);
  const counts: Record<string, number> = {};
  for (const { status } of observedDirections(setup, evidence))
    counts[status] = (counts[status] ?? 0) + 1;
  return counts;
}

describe('models', () => {
  it('start from a few answers and stand on the shelf', async () => {
    const { id } = createModel(ANSWERS, store);
    expect(getModel(id, store).setup.name).toBe('Grebe');
    expect((await listModels(store)).entries[0]).toMatchObject({
      id,
      status: 'todo',
      words: 'next: model',
    });
  });
  it.each([
    [{ ...ANSWERS, name: '  ' }, '/name'],
    [{ ...ANSWERS, unit: 'nothing' }, '/unit'],
    [{ ...ANSWERS, more: 1 }, '/more'],
    [null, ''],
  ])('refuse %j', (answers, path) => {
    const failure = failureOf(() => createModel(answers, store));
    expect(failure.status).toBe(422);
    expect(failure.problems[0]!.path).toBe(path);
    expect(store.models.count()).toBe(0);
  });
  it('are made from a file, or not at all', () => {
    const { id } = importSetup(JSON.stringify(makeSetup()), store);
    expect(getModel(id, store).version).toBe(1);
    expect(failureOf(() => importSetup('nonsense', store)).status).toBe(422);
    expect(failureOf(() => importSetup('x'.repeat(1_000_001), store)).status).toBe(413);
    expect(store.models.count()).toBe(1);
  });
  it('say when they are not there', () => {
    expect(failureOf(() => getModel('nobody', store)).status).toBe(404);
  });
});

describe('saving', () => {
  it('adds a version and keeps the old one', () => {
    const { id } = addModel(makeSetup(), 'Started', store);
    saveSetup(id, { basedOn: 1, label: 'Named', setup: { ...makeSetup(), name: 'Tern' } }, store);
    expect(getModel(id, store)).toMatchObject({ version: 2, setup: { name: 'Tern' } });
    expect(store.models.version(id, 1)!.setup.name).toBe('Test model');
  });
  it('refuses an outdated save, naming the head, and changes nothing', () => {
    const { id } = addModel(makeSetup(), 'Started', store);
    const save = (name: string) =>
      saveSetup(id, { basedOn: 1, label: 'Named', setup: { ...makeSetup(), name } }, store);
    save('First');
    expect(() => save('Second')).toThrow(OutdatedError);
    expect(failureOf(() => save('Second'))).toMatchObject({ status: 409, head: 2 });
    expect(getModel(id, store).setup.name).toBe('First');
  });
  it('cannot rewrite a version', () => {
    addModel(makeSetup(), 'Started', store);
    expect(() => store.db.exec("UPDATE setup_version SET label = 'x'")).toThrow(/append-only/);
  });
});

describe('observations and remedies', () => {
  const seeAll = async (id: string, truth: Setup) => {
    for (const o of watch(truth)) await recordObservation(id, safely({ ...o, version: 1 }), store);
  };
  it('keep what was seen, with what it depends on', async () => {
    const { id } = addModel(makeSetup(), 'Started', store);
    const seen = { check: 'stick-roll', surface: 'aileron-left', seen: 'down', version: 1 };
    const view = await recordObservation(id, safely(seen), store);
    expect(Object.keys(view.evidence[0]!.parts)).toContain('reverse:1');
    const odd = { check: 'x', surface: 'y', seen: 'up', version: 1 };
    expect((await refusalOf(() => recordObservation(id, safely(odd), store))).status).toBe(422);
  });
  it('seen on an earlier version: kept where it still holds, else refused with what changed', async () => {
    const { id } = addModel(makeSetup(), 'Started', store);
    const seen = { check: 'stick-roll', surface: 'aileron-left', seen: 'down', version: 1 };
    const save = (basedOn: number, change: (setup: Setup) => void) => {
      const { setup } = structuredClone(getModel(id, store));
      change(setup);
      saveSetup(id, { basedOn, label: 'Elsewhere', setup }, store);
    };
    save(1, (setup) => void (setup.notes = 'nothing that matters to a stick'));
    expect((await recordObservation(id, safely(seen), store)).evidence).toHaveLength(1);
    save(2, ({ program }) => void (program.outputs[0]!.reversed = !program.outputs[0]!.reversed));
    const refused = await refusalOf(() => recordObservation(id, safely(seen), store));
    expect(refused).toMatchObject({ status: 409, head: 3 });
    expect(refused.changed).toContain('the reversal of channel 1 in the transmitter');
    expect(store.evidence.of(id)).toHaveLength(1);
    // Kept all the same, it speaks of the version it was seen on, and is stale at once.
    await recordObservation(id, safely({ ...seen, keep: true }), store);
    expect(store.evidence.of(id).at(-1)).toMatchObject({ version: 1, seen: 'down' });
    expect(statuses(id)).toMatchObject({ stale: 1 });
  });
  it('apply the proven change and make only what it touches stale', async () => {
    const setup = makeSetup();
    setup.unit.settings.axes.roll.reversed = true;
    setup.program.outputs[1]!.reversed = true;
    const { id } = addModel(setup, 'Started', store);
    await seeAll(id, setup);
    expect(statuses(id)).toMatchObject({ stop: 5 });
    expect((await listModels(store)).entries[0]).toMatchObject({ status: 'stop' });
    const fixed = await applyRemedy(id, { basedOn: 1 }, store);
    expect(fixed.setup.unit.settings.axes.roll.reversed).toBe(false);
    expect(fixed.setup.program.outputs[1]!.reversed).toBe(false);
    expect(statuses(id)).toEqual({ stale: 5, proven: 7 });
  });
  it.each([
    ['says the same as before', undefined, 'applied', 2],
    ['says something else', 'centre' as const, 'a new answer came in meanwhile: check it first', 1],
  ])(
    'an answer that comes while the change is worked out, and %s',
    async (_, seen, end, version) => {
      const setup = makeSetup();
      setup.program.outputs[1]!.reversed = true;
      const { id } = addModel(setup, 'Started', store);
      await seeAll(id, setup);
      const last = store.evidence.of(id).at(-1)!;
      const applying = applyRemedy(id, { basedOn: 1 }, store).then(
        () => 'applied',
        (refused: Failure) => refused.problems[0]!.reason,
      );
      store.evidence.add(id, { ...last, seen: seen ?? last.seen, at: new Date().toISOString() });
      expect([await applying, getModel(id, store).version]).toEqual([end, version]);
    },
  );
  it('write down what was learned and keep the observations that taught it', async () => {
    const truth = makeSetup();
    truth.airframe.surfaces[3]!.linkage.sense = 'same';
    const { id } = addModel(makeSetup(), 'Started', store);
    await seeAll(id, truth);
    const fixed = await applyRemedy(id, { basedOn: 1 }, store);
    expect(fixed.version).toBe(3);
    expect(store.models.version(id, 2)!.setup.airframe.surfaces[3]!.linkage.sense).toBe('same');
    expect(statuses(id).stop).toBeUndefined();
  });
});

describe('database file', () => {
  let folder: string;
  beforeEach(() => {
    folder = mkdtempSync(join(tmpdir(), 'tolvan-'));
  });
  afterEach(() => rmSync(folder, { recursive: true }));
  it('is reported, not overwritten, when it is not one', () => {
    writeFileSync(
      join(folder, 'tolvan.db'),
      'a letter to an aunt, long enough to have a header'.repeat(40),
    );
    expect(() => openDatabase(folder)).toThrow(/cannot be used.*not changed/);
  });
  it('is left alone when another program made it', () => {
    const other = new Database(join(folder, 'tolvan.db'));
    other.exec('CREATE TABLE recipe (name TEXT)');
    other.close();
    expect(() => openDatabase(folder)).toThrow(/another program/);
  });
  it('is refused when a newer version made it', () => {
    const db = openDatabase(folder);
    db.pragma('user_version = 999');
    db.close();
    expect(() => openDatabase(folder)).toThrow(/newer Tolvan/);
  });
  it('migrates step by step and only once', () => {
    const db = new Database(':memory:');
    migrate(db);
    migrate(db);
    expect(db.pragma('user_version', { simple: true })).toBe(migrations().at(-1)!.number);
  });
});
