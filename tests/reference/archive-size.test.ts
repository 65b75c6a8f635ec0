import { mkdtempSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { previewStaged, takeInStaged } from '@/server/archive/merge';
import { stageArchive } from '@/server/archive/read';
import { writeArchive } from '@/server/archive/write';
import { openWorkshop, type Workshop } from '@/server/workshop';
import { makeSetup } from '../kit/setups';
import { FULL } from '../kit/share';

const AT = '2026-11-01T00:00:00.000Z';

/** What a workshop holds, counted by the database itself. */
const counts = ({ db }: Workshop) =>
  db
    .prepare(
      `SELECT (SELECT count(*) FROM model) AS models,
              (SELECT count(*) FROM setup_version) AS versions,
              (SELECT count(*) FROM log_entry) AS lines`,
    )
    .get();

/** A workshop of so many models, versions of the first, and lines in all. */
function fill(store: Workshop, models: number, versions: number, lines: number): void {
  const setup = makeSetup();
  store.write(() => {
    for (let n = 0; n < models; n++)
      store.models.create(`model-${n}`, { ...setup, name: `Model ${n}` }, 'Started', AT);
    for (let v = 2; v <= versions; v++)
      store.models.restore({
        modelId: 'model-0',
        version: v,
        label: 'Again',
        setup: { ...setup, notes: `turn ${v % 40}` },
        createdAt: AT,
      });
    for (let n = 0; n < lines; n++)
      store.log.add(`model-${n % models}`, {
        uid: `line-${n}-of-all`,
        version: 1,
        kind: 'flight',
        at: new Date(Date.UTC(2025, 0, 1) + n * 60_000).toISOString(),
        title: `Pack ${n}`,
        seen: 'nothing to note',
      });
  });
}

describe('what goes out comes in again, whatever its size', () => {
  const SIZES: [string, number, number, number][] = FULL
    ? [
        ['2 000 models and 500 000 lines', 2000, 1, 500_000],
        ['17 000 versions of one model', 1, 17_000, 0],
        ['300 000 lines of one model', 1, 1, 300_000],
      ]
    : [
        ['40 models and 8 000 lines', 40, 1, 8000],
        ['400 versions of one model', 1, 400, 0],
      ];
  it.each(SIZES)(
    '%s',
    async (_, models, versions, lines) => {
      const folder = mkdtempSync(join(tmpdir(), 'tolvan-size-'));
      const store = openWorkshop(join(folder, 'one'));
      fill(store, models, versions, lines);
      const zip = join(folder, 'w.zip');
      await writeArchive(store, zip, AT);
      expect(statSync(zip).size).toBeGreaterThan(1000);
      const other = openWorkshop(join(folder, 'two'));
      const staging = join(folder, 'staging');
      const { madeAt } = await stageArchive(zip, staging);
      expect(takeInStaged(other, staging, madeAt).models).toHaveLength(models);
      expect(counts(other)).toEqual(counts(store));
      expect(counts(other)).toMatchObject({ models, lines });
      // A second time there is nothing to add.
      const again = previewStaged(other, staging, madeAt).models;
      expect(again.filter((m) => m.does !== 'nothing')).toEqual([]);
      store.db.close();
      other.db.close();
      rmSync(folder, { recursive: true });
    },
    600_000,
  );
});
