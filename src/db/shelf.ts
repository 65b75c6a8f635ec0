import { fold } from './fold';
import type { Db } from './open';

/** A model as the shelf lists it. */
export interface Head {
  id: string;
  version: number;
  name: string;
  changedAt: string;
  /** Number of the newest observation: what was worked out from them holds until it grows. */
  seen: number;
  flownAt: string | null;
  checkedAt: string | null;
  /** Words its owner finds it by, a blank between them. */
  tags: string;
  /** When it was retired or taken off. */
  movedAt: string | null;
}

/** Where a model is kept: on the shelf, retired, or taken off and gone after a while. */
export const PLACES = ['shelf', 'retired', 'off'] as const;
export type KeptPlace = (typeof PLACES)[number];

/** What the shelf says of each model, with what it was worked out from. */
export function shelfRepository(db: Db) {
  const selectHeads = db.prepare(
    `SELECT model_id AS id, version, name, changed_at AS changedAt, seen,
            flown_at AS flownAt, checked_at AS checkedAt, tags, moved_at AS movedAt
       FROM model_head
      WHERE kept = @kept AND instr(found_by, @text) > 0
      ORDER BY changed_at DESC, model_id
      LIMIT @most`,
  );
  const countHeads = db
    .prepare(
      `SELECT count(*) FROM model_head
        WHERE kept = @kept AND instr(found_by, @text) > 0`,
    )
    .pluck();
  const move = db.prepare(
    'UPDATE model_head SET kept = @kept, moved_at = @at WHERE model_id = @modelId',
  );
  const selectPlace = db.prepare('SELECT kept FROM model_head WHERE model_id = ?').pluck();
  const tag = db.prepare('UPDATE model_head SET tags = @tags WHERE model_id = @modelId');
  const selectOverdue = db
    .prepare("SELECT model_id FROM model_head WHERE kept = 'off' AND moved_at < ?")
    .pluck();
  const selectHolds = db.prepare(
    `SELECT (SELECT count(*) FROM setup_version WHERE model_id = @modelId) AS versions,
            (SELECT count(*) FROM evidence WHERE model_id = @modelId) AS seen,
            (SELECT count(*) FROM log_entry WHERE model_id = @modelId) AS lines`,
  );
  // What refers to a model goes before it does.
  const removals = ['evidence', 'log_entry', 'shelf_line', 'model_head', 'setup_version'].map((t) =>
    db.prepare(`DELETE FROM ${t} WHERE model_id = ?`),
  );
  const removeModel = db.prepare('DELETE FROM model WHERE id = ?');
  const selectLine = db.prepare(
    'SELECT made_of AS madeOf, line FROM shelf_line WHERE model_id = ?',
  );
  const selectStale = db.prepare(
    `SELECT h.model_id AS id, h.version, h.seen
       FROM model_head AS h
       LEFT JOIN shelf_line AS l ON l.model_id = h.model_id
      WHERE h.kept <> 'off'
        AND l.made_of IS NOT (@revision || ' ' || h.version || ' ' || h.seen)
      ORDER BY h.changed_at DESC, h.model_id
      LIMIT @most`,
  );
  const upsert = db.prepare(
    `INSERT INTO shelf_line (model_id, made_of, line) VALUES (@modelId, @madeOf, @line)
     ON CONFLICT (model_id) DO UPDATE SET made_of = excluded.made_of, line = excluded.line`,
  );
  const selectChanges = db.prepare('SELECT total_changes()').pluck();
  const insertArchive = db.prepare('INSERT INTO archive_made (at) VALUES (?)');
  const selectArchive = db.prepare(
    `SELECT (SELECT max(at) FROM archive_made) AS archivedAt,
            (SELECT min(created_at) FROM model) AS begunAt,
            (SELECT max(changed_at) FROM model_head) AS changedAt`,
  );
  const removeAll = db.transaction((ids: readonly string[]) => {
    for (const id of ids) {
      for (const remove of removals) remove.run(id);
      removeModel.run(id);
    }
  });
  return {
    /** Models whose name or tags have this in them, last changed first. */
    heads: (text = '', most = -1, kept: KeptPlace = 'shelf') =>
      selectHeads.all({ text: fold(text), most, kept }) as Head[],
    count: (text = '', kept: KeptPlace = 'shelf') =>
      countHeads.get({ text: fold(text), kept }) as number,
    move(modelId: string, kept: KeptPlace, at: string): void {
      move.run({ modelId, kept, at: kept === 'shelf' ? null : at });
    },
    placeOf: (modelId: string) => selectPlace.get(modelId) as KeptPlace,
    tag(modelId: string, tags: string): void {
      tag.run({ modelId, tags });
    },
    /** Keeps that everything was packed at a moment. */
    archived: (at: string) => void insertArchive.run(at),
    /** When everything was last packed, when the first model came, and when anything last changed. */
    archiving: () =>
      selectArchive.get() as Record<'archivedAt' | 'begunAt' | 'changedAt', string | null>,
    /** What goes with a model that is deleted. */
    holds: (modelId: string) =>
      selectHolds.get({ modelId }) as { versions: number; seen: number; lines: number },
    /** Deletes what was taken off before a moment, with everything that belongs to it. @returns how many */
    clear(before: string): number {
      // Looked at first: where nothing is due the database is only read.
      const due = selectOverdue.all(before) as string[];
      if (due.length > 0) removeAll.immediate(due);
      return due.length;
    },
    line<T>(modelId: string, madeOf: string): T | undefined {
      const row = selectLine.get(modelId) as { madeOf: string; line: string } | undefined;
      return row?.madeOf === madeOf ? (JSON.parse(row.line) as T) : undefined;
    },
    /** Differs after every write, by this connection or by another one. */
    state: () => `${db.pragma('data_version', { simple: true })} ${selectChanges.get()}`,
    /** Models whose line was made of something else than what is there now. */
    stale: (revision: number, most: number) =>
      selectStale.all({ revision: String(revision), most }) as Pick<
        Head,
        'id' | 'version' | 'seen'
      >[],
    keep(modelId: string, madeOf: string, line: unknown): void {
      upsert.run({ modelId, madeOf, line: JSON.stringify(line) });
    },
  };
}
