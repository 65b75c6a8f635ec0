import type { Database } from 'better-sqlite3';
import { restamped } from '../core/logbook';
import type { Setup } from '../core/setup';

interface Row {
  rowid: number;
  modelId: string;
  version: number;
  subject: string;
  parts: string;
}

/**
 * Evidence stamped with a hash of the sentence that asked for it is stamped with what was asked, as
 * data, on the version of the model it was seen on: all else it depends on stays as it was stamped.
 * Only the newest of each subject: no other is checked again. Works in the database and in an
 * archive on its way in.
 */
export function restampEvidence(db: Database): void {
  const rows = db
    .prepare(
      `SELECT max(rowid) AS rowid, model_id AS modelId, version, subject, parts
         FROM evidence
        GROUP BY model_id, subject
       HAVING parts LIKE '%"asked":%'
        ORDER BY model_id, version`,
    )
    .all() as Row[];
  const setup = db
    .prepare('SELECT setup FROM setup_version WHERE model_id = ? AND version = ?')
    .pluck();
  const update = db.prepare('UPDATE evidence SET parts = ? WHERE rowid = ?');
  let at: { of: string; setup: Setup } | undefined;
  for (const { rowid, modelId, version, subject, parts } of rows) {
    const of = `${modelId} ${version}`;
    if (at?.of !== of) {
      const text = setup.get(modelId, version) as string | undefined;
      if (text === undefined) continue;
      // One document for all that was seen on it: what it asks is worked out once.
      at = { of, setup: JSON.parse(text) as Setup };
    }
    const [check, surface] = subject.split(' ') as [string, string];
    const stamps = JSON.parse(parts) as Record<string, string>;
    update.run(JSON.stringify(restamped(at.setup, { check, surface }, stamps)), rowid);
  }
}
