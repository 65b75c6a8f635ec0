import type { Database } from 'better-sqlite3';
import { openSetup } from '../core/plan';

/**
 * Carries every Setup that is kept to the current version of its format, in place: a version of a
 * model stays the version it is.
 * @throws Error in words where one cannot be read; whoever called takes everything back
 */
export function upgradeSetups(db: Database): void {
  const rows = db.prepare('SELECT model_id AS modelId, version, setup FROM setup_version');
  const update = db.prepare(
    'UPDATE setup_version SET setup = @setup WHERE model_id = @modelId AND version = @version',
  );
  for (const row of rows.all() as { modelId: string; version: number; setup: string }[]) {
    const opened = openSetup(JSON.parse(row.setup));
    if (!opened.ok)
      throw new Error(
        `version ${row.version} of model ${row.modelId} cannot be carried over: ${opened.problems[0]?.path} ${opened.problems[0]?.reason}`,
      );
    update.run({ ...row, setup: JSON.stringify(opened.value.setup) });
  }
}
