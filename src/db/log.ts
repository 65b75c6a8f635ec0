import { LogEntrySchema, type LogEntry } from '../core/logbook';
import { fold } from './fold';
import type { Db } from './open';

interface Row {
  uid: string;
  model_id: string;
  version: number;
  kind: LogEntry['kind'];
  at: string;
  body: string;
}

/** The index knows words by every three of their letters; shorter ones are looked for line by line. */
const INDEXED_LETTERS = 3;

type Rest = Omit<LogEntry, 'uid' | 'version' | 'kind' | 'at'>;

export function logFromRow(data: unknown): LogEntry {
  const { uid, version, kind, at, body } = data as Row;
  return { uid, version, kind, at, ...(JSON.parse(body) as Rest) };
}

/** What to show of a model's log. */
export interface LogQuery {
  kind?: LogEntry['kind'] | undefined;
  /** Words that must all be in it. */
  text?: string | undefined;
  /** At most this many, newest first. */
  most: number;
  /** Only those older than this one, by its uid. */
  before?: string | undefined;
}

const REST = Object.keys(LogEntrySchema.shape).filter(
  (key) => !['uid', 'version', 'kind', 'at'].includes(key),
) as (keyof Rest)[];

/** What a row keeps of an entry: always in the same order, so that equal entries are equal rows. */
export const logRow = (modelId: string, entry: LogEntry) => ({
  modelId,
  uid: entry.uid,
  version: entry.version,
  kind: entry.kind,
  at: entry.at,
  body: JSON.stringify(Object.fromEntries(REST.map((key) => [key, entry[key]]))),
});

/** Flights, checks, maintenance and events, newest first. */
export function logRepository(db: Db) {
  const insert = db.prepare(
    `INSERT INTO log_entry (uid, model_id, version, kind, at, body)
     VALUES (@uid, @modelId, @version, @kind, @at, @body)`,
  );
  const selectPage = db.prepare(
    `SELECT * FROM log_entry
      WHERE model_id = @modelId
        AND (@kind IS NULL OR kind = @kind)
        AND (@before IS NULL OR (at, id) < (SELECT at, id FROM log_entry
                                             WHERE model_id = @modelId AND uid = @before))
        AND (@match IS NULL OR id IN (SELECT rowid FROM log_text WHERE said MATCH @match))
        AND NOT EXISTS (
              SELECT 1 FROM json_each(@short) AS word
               WHERE instr(
                       fold(at || ' ' || (SELECT group_concat(value, ' ') FROM json_each(body))),
                       word.value) = 0)
      ORDER BY at DESC, id DESC
      LIMIT @most`,
  );
  const selectReading = db.prepare(
    `SELECT 1 FROM log_entry
      WHERE model_id = ? AND kind = 'flight' AND json_extract(body, '$.gainReading') <> '' LIMIT 1`,
  );
  const selectOne = db.prepare('SELECT * FROM log_entry WHERE model_id = ? AND uid = ?');
  const selectAll = db.prepare('SELECT * FROM log_entry WHERE model_id = ? ORDER BY at, uid');
  const selectAfter = db.prepare(
    `SELECT * FROM log_entry
      WHERE model_id = @modelId AND (@at IS NULL OR (at, uid) > (@at, @uid))
      ORDER BY at, uid LIMIT @most`,
  );
  return {
    /** Whether some flight or run has a gain written down. */
    hasReading: (modelId: string): boolean => selectReading.get(modelId) !== undefined,
    /** @throws a constraint error where the model has a line of that uid already */
    add(modelId: string, entry: LogEntry): void {
      insert.run(logRow(modelId, entry));
    },
    get(modelId: string, uid: string): LogEntry | undefined {
      const row = selectOne.get(modelId, uid);
      return row === undefined ? undefined : logFromRow(row);
    },
    of(modelId: string, { kind, text, most, before }: LogQuery): LogEntry[] {
      const words = fold(text ?? '')
        .split(/\s+/)
        .filter((w) => w !== '');
      const long = words.filter((w) => [...w].length >= INDEXED_LETTERS);
      const rows = selectPage.all({
        modelId,
        kind: kind ?? null,
        match:
          long.length > 0 ? long.map((w) => `"${w.replaceAll('"', '""')}"`).join(' AND ') : null,
        short: JSON.stringify(words.filter((w) => !long.includes(w))),
        most,
        before: before ?? null,
      });
      return rows.map(logFromRow);
    },
    /** Every entry of a model, oldest first: for files. */
    all: (modelId: string): LogEntry[] => selectAll.all(modelId).map(logFromRow),
    /** The next entries after one, oldest first; from the first one where none is given. */
    after: (modelId: string, last: LogEntry | undefined, most: number): LogEntry[] =>
      selectAfter
        .all({ modelId, at: last?.at ?? null, uid: last?.uid ?? null, most })
        .map(logFromRow),
    /** One after another, for files of any length. */
    *each(modelId: string): Iterable<LogEntry> {
      for (const row of selectAll.iterate(modelId)) yield logFromRow(row);
    },
  };
}
