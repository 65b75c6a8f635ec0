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
}

/** What the shelf says of each model, with what it was worked out from. */
export function shelfRepository(db: Db) {
  const selectHeads = db.prepare(
    `SELECT model_id AS id, version, name, changed_at AS changedAt, seen,
            flown_at AS flownAt, checked_at AS checkedAt
       FROM model_head
      WHERE name LIKE @like ESCAPE '\\'
      ORDER BY changed_at DESC, model_id
      LIMIT @most`,
  );
  const countHeads = db
    .prepare("SELECT count(*) FROM model_head WHERE name LIKE @like ESCAPE '\\'")
    .pluck();
  const selectLine = db.prepare(
    'SELECT made_of AS madeOf, line FROM shelf_line WHERE model_id = ?',
  );
  const selectStale = db.prepare(
    `SELECT h.model_id AS id, h.version, h.seen
       FROM model_head AS h
       LEFT JOIN shelf_line AS l ON l.model_id = h.model_id
      WHERE l.made_of IS NOT (@revision || ' ' || h.version || ' ' || h.seen)
      ORDER BY h.changed_at DESC, h.model_id
      LIMIT @most`,
  );
  const upsert = db.prepare(
    `INSERT INTO shelf_line (model_id, made_of, line) VALUES (@modelId, @madeOf, @line)
     ON CONFLICT (model_id) DO UPDATE SET made_of = excluded.made_of, line = excluded.line`,
  );
  const likeOf = (text: string) => `%${text.replace(/[\\%_]/g, '\\$&')}%`;
  return {
    /** Models whose name has this in it, last changed first. */
    heads: (text = '', most = -1) => selectHeads.all({ like: likeOf(text), most }) as Head[],
    count: (text = '') => countHeads.get({ like: likeOf(text) }) as number,
    line<T>(modelId: string, madeOf: string): T | undefined {
      const row = selectLine.get(modelId) as { madeOf: string; line: string } | undefined;
      return row?.madeOf === madeOf ? (JSON.parse(row.line) as T) : undefined;
    },
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
