import type { Db } from './open';

/** What the shelf says of each model, with what it was worked out from. */
export function shelfRepository(db: Db) {
  const select = db.prepare('SELECT model_id AS modelId, made_of AS madeOf, line FROM shelf_line');
  const upsert = db.prepare(
    `INSERT INTO shelf_line (model_id, made_of, line) VALUES (@modelId, @madeOf, @line)
     ON CONFLICT (model_id) DO UPDATE SET made_of = excluded.made_of, line = excluded.line`,
  );
  return {
    /** Every line there is, by model, with what it was worked out from. */
    all: <T>() =>
      new Map(
        (select.all() as { modelId: string; madeOf: string; line: string }[]).map(
          ({ modelId, madeOf, line }) => [modelId, { madeOf, line: JSON.parse(line) as T }],
        ),
      ),
    keep(modelId: string, madeOf: string, line: unknown): void {
      upsert.run({ modelId, madeOf, line: JSON.stringify(line) });
    },
  };
}
