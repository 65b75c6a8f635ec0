import type { LogEntry } from '../core/logbook';
import type { Db } from './open';

interface Row {
  uid: string;
  model_id: string;
  version: number;
  kind: LogEntry['kind'];
  at: string;
  body: string;
}

type Rest = Omit<LogEntry, 'uid' | 'version' | 'kind' | 'at'>;

const fromRow = (row: Row): LogEntry => ({
  uid: row.uid,
  version: row.version,
  kind: row.kind,
  at: row.at,
  ...(JSON.parse(row.body) as Rest),
});

/** What to show of a model's log. */
export interface LogQuery {
  kind?: LogEntry['kind'] | undefined;
  /** Words that must all be in it. */
  text?: string | undefined;
  /** At most this many, newest first. */
  most: number;
}

/** Flights, checks, maintenance and events, newest first. */
export function logRepository(db: Db) {
  const insert = db.prepare(
    `INSERT INTO log_entry (uid, model_id, version, kind, at, body)
     VALUES (@uid, @modelId, @version, @kind, @at, @body)
     ON CONFLICT (uid) DO NOTHING`,
  );
  const selectPage = db.prepare(
    `SELECT * FROM log_entry
      WHERE model_id = @modelId
        AND (@kind IS NULL OR kind = @kind)
        AND NOT EXISTS (
              SELECT 1 FROM json_each(@words) AS word
               WHERE (SELECT at || ' ' || group_concat(value, ' ') FROM json_each(body))
                     NOT LIKE word.value ESCAPE '\\')
      ORDER BY at DESC, id DESC
      LIMIT @most`,
  );
  const selectAll = db.prepare('SELECT * FROM log_entry WHERE model_id = ? ORDER BY at, uid');
  const selectLast = db.prepare(
    `SELECT m.id AS modelId,
            (SELECT max(at) FROM log_entry WHERE model_id = m.id AND kind = 'flight')
              AS flight,
            (SELECT max(at) FROM log_entry WHERE model_id = m.id AND kind = 'preflight')
              AS preflight
       FROM model AS m`,
  );
  return {
    /** @returns false where the entry is there already */
    add(modelId: string, entry: LogEntry): boolean {
      const { uid, version, kind, at, ...body } = entry;
      return (
        insert.run({ uid, modelId, version, kind, at, body: JSON.stringify(body) }).changes > 0
      );
    },
    of(modelId: string, { kind, text, most }: LogQuery): LogEntry[] {
      const words = (text ?? '').split(/\s+/).filter((w) => w !== '');
      const likes = words.map((w) => `%${w.replace(/[\\%_]/g, '\\$&')}%`);
      const rows = selectPage.all({
        modelId,
        kind: kind ?? null,
        words: JSON.stringify(likes),
        most,
      });
      return (rows as Row[]).map(fromRow);
    },
    /** Every entry of a model, oldest first: for files. */
    all: (modelId: string): LogEntry[] => (selectAll.all(modelId) as Row[]).map(fromRow),
    /** When each model was last flown or run, and when it was last checked before that. */
    last: () =>
      new Map(
        (
          selectLast.all() as {
            modelId: string;
            flight: string | null;
            preflight: string | null;
          }[]
        ).map(({ modelId, flight, preflight }) => [
          modelId,
          { flight: flight ?? undefined, preflight: preflight ?? undefined },
        ]),
      ),
  };
}
