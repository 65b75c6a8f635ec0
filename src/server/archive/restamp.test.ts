import { copyFileSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { latestOf, staleReasons, type Evidence } from '../../core/logbook';
import { openWorkshop, type Workshop } from '../workshop';
import { takeInStaged } from './merge';
import { stageArchive } from './read';

/** Kept by a Tolvan that hashed what was asked as its sentence: three models, one of them changed since. */
const FIXTURES = join(process.cwd(), 'tests', 'fixtures');
/** Newest observations of each model, and how many of them did not hold any more, as it said itself. */
const BEFORE = { loon: [117, 0], pike: [41, 0], skua: [96, 48] } as const;

let folder: string;
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'tolvan-restamp-'));
});
afterAll(() => rmSync(folder, { recursive: true }));

const counts = (store: Workshop) =>
  Object.fromEntries(
    Object.keys(BEFORE).map((id) => {
      const { setup } = store.models.head(id)!;
      const all = latestOf(store.evidence.of(id));
      return [id, [all.length, all.filter((e) => staleReasons(setup, e).length > 0).length]];
    }),
  );
const stamps = (evidence: readonly Evidence[]) =>
  new Set(evidence.flatMap((e) => Object.keys(e.parts)));

/** The database as it was left, in a folder of its own. */
function left(name: string): string {
  const own = mkdtempSync(join(folder, `${name}-`));
  writeFileSync(
    join(own, 'tolvan.db'),
    gunzipSync(readFileSync(join(FIXTURES, 'asked-in-words.db.gz'))),
  );
  return own;
}

describe('evidence whose question was hashed as its sentence', () => {
  it('holds after the upgrade of a database exactly where it held before', () => {
    const own = left('database');
    const store = openWorkshop(own);
    expect(counts(store)).toEqual(BEFORE);
    for (const id of Object.keys(BEFORE)) {
      expect(stamps(store.evidence.of(id)), id).toContain('asks');
      expect(stamps(store.evidence.of(id)), id).not.toContain('asked');
    }
    const once = Object.keys(BEFORE).map((id) => store.evidence.of(id));
    store.db.close();
    // Opened again it is what it is.
    const again = openWorkshop(own);
    expect(Object.keys(BEFORE).map((id) => again.evidence.of(id))).toEqual(once);
    again.db.close();
  });

  it('holds after an archive of that time came in', async () => {
    const zip = join(folder, 'in.zip');
    const staging = join(folder, 'in.staging');
    copyFileSync(join(FIXTURES, 'asked-in-words.zip'), zip);
    const { madeAt } = await stageArchive(zip, staging);
    const store = openWorkshop(':memory:');
    takeInStaged(store, staging, madeAt);
    expect(counts(store)).toEqual(BEFORE);
  });

  it('an archive of that time adds nothing to the upgraded database of the same time', async () => {
    const zip = join(folder, 'same.zip');
    const staging = join(folder, 'same.staging');
    copyFileSync(join(FIXTURES, 'asked-in-words.zip'), zip);
    const { madeAt } = await stageArchive(zip, staging);
    const store = openWorkshop(left('same'));
    const { models } = takeInStaged(store, staging, madeAt);
    expect(models.map((m) => m.does)).toEqual(models.map(() => 'nothing'));
    store.db.close();
  });
});
