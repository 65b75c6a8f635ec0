import type { Evidence } from '../core/logbook';
import type { Db } from './open';

interface Row {
  version: number;
  subject: string;
  seen: string;
  parts: string;
  at: string;
}

/** What was seen, oldest first. */
export function evidenceRepository(db: Db) {
  const insert = db.prepare(
    `INSERT INTO evidence (model_id, version, subject, seen, parts, at)
     VALUES (@modelId, @version, @subject, @seen, @parts, @at)`,
  );
  const selectNewest = db.prepare('SELECT model_id, max(id) FROM evidence GROUP BY model_id').raw();
  const selectAll = db.prepare(
    `SELECT version, subject, seen, parts, at FROM evidence WHERE model_id = ? ORDER BY id`,
  );
  return {
    add(modelId: string, evidence: Evidence): void {
      insert.run({
        modelId,
        version: evidence.version,
        subject: `${evidence.check} ${evidence.surface}`,
        seen: evidence.seen,
        parts: JSON.stringify(evidence.parts),
        at: evidence.at,
      });
    },
    /** Grows with every observation: what was worked out from them holds until it does. */
    newest: () => new Map(selectNewest.all() as [modelId: string, id: number][]),
    of(modelId: string): Evidence[] {
      return (selectAll.all(modelId) as Row[]).map((row) => {
        const [check, surface] = row.subject.split(' ') as [string, string];
        return {
          check,
          surface,
          seen: row.seen as Evidence['seen'],
          parts: JSON.parse(row.parts) as Record<string, string>,
          version: row.version,
          at: row.at,
        };
      });
    },
  };
}
