import type { Evidence } from '../core/logbook';
import type { Db } from './open';

interface Row {
  version: number;
  subject: string;
  seen: string;
  parts: string;
  at: string;
  ground: 'said' | null;
}

/** What a row keeps of a piece of evidence; its parts always in the same order. */
export const evidenceRow = (modelId: string, evidence: Evidence) => ({
  modelId,
  version: evidence.version,
  subject: `${evidence.check} ${evidence.surface}`,
  seen: evidence.seen,
  parts: JSON.stringify(
    Object.fromEntries(Object.entries(evidence.parts).toSorted(([a], [b]) => (a < b ? -1 : 1))),
  ),
  at: evidence.at,
  ground: evidence.ground ?? null,
});

export function evidenceFromRow(data: unknown): Evidence {
  const row = data as Row;
  const [check, surface] = row.subject.split(' ') as [string, string];
  return {
    check,
    surface,
    seen: row.seen as Evidence['seen'],
    parts: JSON.parse(row.parts) as Record<string, string>,
    version: row.version,
    at: row.at,
    ...(row.ground ? { ground: row.ground } : {}),
  };
}

/** What was seen, oldest first. */
export function evidenceRepository(db: Db) {
  const insert = db.prepare(
    `INSERT INTO evidence (model_id, version, subject, seen, parts, at, ground)
     VALUES (@modelId, @version, @subject, @seen, @parts, @at, @ground)`,
  );
  const selectAll = db.prepare(
    `SELECT version, subject, seen, parts, at, ground FROM evidence WHERE model_id = ? ORDER BY id`,
  );
  return {
    add(modelId: string, evidence: Evidence): void {
      insert.run(evidenceRow(modelId, evidence));
    },
    of: (modelId: string): Evidence[] => selectAll.all(modelId).map(evidenceFromRow),
    /** One after another, for files of any length. */
    *each(modelId: string): Iterable<Evidence> {
      for (const row of selectAll.iterate(modelId)) yield evidenceFromRow(row);
    },
  };
}
