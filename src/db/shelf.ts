import type { Db } from './open';

/** What the shelf says of each model, with what it was worked out from. */
export function shelfRepository(db: Db) {
  const select = db.prepare('SELECT made_of AS madeOf, line FROM shelf_line WHERE model_id = ?');
  const upsert = db.prepare(
    `INSERT INTO shelf_line (model_id, made_of, line) VALUES (@modelId, @madeOf, @line)
     ON CONFLICT (model_id) DO UPDATE SET made_of = excluded.made_of, line = excluded.line`,
  );
  return {
    /** @returns undefined where it was worked out from something older */
    of<T>(modelId: string, madeOf: string): T | undefined {
      const row = select.get(modelId) as { madeOf: string; line: string } | undefined;
      return row?.madeOf === madeOf ? (JSON.parse(row.line) as T) : undefined;
    },
    keep(modelId: string, madeOf: string, line: unknown): void {
      upsert.run({ modelId, madeOf, line: JSON.stringify(line) });
    },
  };
}
