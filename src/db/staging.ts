import Database from 'better-sqlite3';
import type { Db } from './open';
import { restampEvidence } from './restamp';

/**
 * A file of its own for an archive on its way in: everything is read, checked and put here first, so
 * that the real database is written to once, quickly, and only by what has been checked.
 */
export function createStaging(file: string) {
  const db = new Database(file);
  // Lost without harm: the archive itself is still there.
  db.pragma('journal_mode = OFF');
  db.pragma('synchronous = OFF');
  db.exec(`
    CREATE TABLE model (
      id TEXT PRIMARY KEY, name TEXT NOT NULL, retired INTEGER NOT NULL, tags TEXT NOT NULL
    ) STRICT;
    CREATE TABLE setup_version (
      model_id TEXT NOT NULL, version INTEGER NOT NULL, label TEXT NOT NULL,
      setup TEXT NOT NULL, created_at TEXT NOT NULL
    ) STRICT;
    CREATE INDEX version_of_model ON setup_version (model_id, version);
    CREATE TABLE evidence (
      model_id TEXT NOT NULL, version INTEGER NOT NULL, subject TEXT NOT NULL,
      seen TEXT NOT NULL, parts TEXT NOT NULL, at TEXT NOT NULL, ground TEXT
    ) STRICT;
    CREATE INDEX evidence_of_model ON evidence (model_id);
    CREATE TABLE log_entry (
      model_id TEXT NOT NULL, uid TEXT NOT NULL, version INTEGER NOT NULL,
      kind TEXT NOT NULL, at TEXT NOT NULL, body TEXT NOT NULL
    ) STRICT;
    CREATE INDEX log_of_model ON log_entry (model_id, uid);
    CREATE TABLE part (body TEXT NOT NULL) STRICT;
  `);
  const model = db.prepare('INSERT INTO model (id, name, retired, tags) VALUES (?, ?, ?, ?)');
  const version = db.prepare(
    `INSERT INTO setup_version (model_id, version, label, setup, created_at)
     VALUES (@modelId, @version, @label, @setup, @createdAt)`,
  );
  const evidence = db.prepare(
    `INSERT INTO evidence (model_id, version, subject, seen, parts, at, ground)
     VALUES (@modelId, @version, @subject, @seen, @parts, @at, @ground)`,
  );
  const log = db.prepare(
    `INSERT INTO log_entry (model_id, uid, version, kind, at, body)
     VALUES (@modelId, @uid, @version, @kind, @at, @body)`,
  );
  const part = db.prepare('INSERT INTO part (body) VALUES (?)');
  db.exec('BEGIN');
  return {
    model: (id: string, name: string, retired: boolean, tags: string) =>
      void model.run(id, name, retired ? 1 : 0, tags),
    version: (row: object) => void version.run(row),
    evidence: (row: object) => void evidence.run(row),
    log: (row: object) => void log.run(row),
    part: (body: string) => void part.run(body),
    /** Once all of it is here: what was seen is carried to today's stamps. */
    finish: () => restampEvidence(db),
    close(): void {
      if (db.inTransaction) db.exec('COMMIT');
      db.close();
    },
  };
}

export type Staging = ReturnType<typeof createStaging>;

export interface StagedVersion {
  version: number;
  label: string;
  setup: string;
  createdAt: string;
}

/** What stands in a staging file, beside the database it is to come into. */
export function stagedRepository(db: Db, file: string) {
  db.prepare('ATTACH ? AS incoming').run(file);
  const models = db.prepare('SELECT id, name, retired, tags FROM incoming.model ORDER BY rowid');
  const parts = db.prepare('SELECT body FROM incoming.part ORDER BY rowid').pluck();
  const count = (table: string) =>
    db.prepare(`SELECT count(*) FROM incoming.${table} WHERE model_id = ?`).pluck();
  const counts = {
    versions: count('setup_version'),
    evidence: count('evidence'),
    log: count('log_entry'),
  };
  const repeatedUids = db
    .prepare('SELECT count(*) - count(DISTINCT uid) FROM incoming.log_entry WHERE model_id = ?')
    .pluck();
  const otherSetups = db.prepare(
    `SELECT i.version, i.setup AS theirs, o.setup AS ours
       FROM incoming.setup_version AS i
       JOIN main.setup_version AS o ON o.model_id = i.model_id AND o.version = i.version
      WHERE i.model_id = ? AND i.setup <> o.setup
      ORDER BY i.version`,
  );
  const addModel = db.prepare(
    `INSERT INTO main.model (id, created_at)
     SELECT model_id, created_at FROM incoming.setup_version WHERE model_id = ? AND version = 1`,
  );
  const addVersions = db.prepare(
    `INSERT INTO main.setup_version (model_id, version, label, setup, created_at)
     SELECT model_id, version, label, setup, created_at FROM incoming.setup_version
      WHERE model_id = @modelId AND version > @above ORDER BY version`,
  );
  const addEvidence = db.prepare(
    `INSERT INTO main.evidence (model_id, version, subject, seen, parts, at, ground)
     SELECT model_id, version, subject, seen, parts, at, ground FROM incoming.evidence
      WHERE model_id = ? ORDER BY rowid`,
  );
  const addLog = db.prepare(
    `INSERT INTO main.log_entry (model_id, uid, version, kind, at, body)
     SELECT model_id, uid, version, kind, at, body FROM incoming.log_entry
      WHERE model_id = ? ORDER BY rowid`,
  );
  const evidence = db.prepare(
    'SELECT version, subject, seen, parts, at, ground FROM incoming.evidence WHERE model_id = ? ORDER BY rowid',
  );
  const others = {
    evidence: db.prepare(
      `SELECT EXISTS (
         SELECT version, subject, seen, parts, at, ground, count(*) FROM incoming.evidence
          WHERE model_id = @id GROUP BY version, subject, seen, parts, at, ground
         EXCEPT
         SELECT version, subject, seen, parts, at, ground, count(*) FROM main.evidence
          WHERE model_id = @id GROUP BY version, subject, seen, parts, at, ground)`,
    ),
    log: db.prepare(
      `SELECT EXISTS (
         SELECT uid, version, kind, at, body FROM incoming.log_entry WHERE model_id = @id
         EXCEPT
         SELECT uid, version, kind, at, body FROM main.log_entry WHERE model_id = @id)`,
    ),
  };
  const log = db.prepare('SELECT * FROM incoming.log_entry WHERE model_id = ? ORDER BY rowid');
  return {
    models: () => models.all() as { id: string; name: string; retired: number; tags: string }[],
    /** Parts of the hangar as JSON. */
    parts: () => parts.all() as string[],
    counts: (id: string) => ({
      versions: counts.versions.get(id) as number,
      evidence: counts.evidence.get(id) as number,
      log: counts.log.get(id) as number,
    }),
    hasRepeatedUids: (id: string) => (repeatedUids.get(id) as number) > 0,
    /** Versions that both have and whose texts differ. */
    otherSetups: (id: string) =>
      otherSetups.iterate(id) as Iterable<{ version: number; theirs: string; ours: string }>,
    addModel: (id: string) => void addModel.run(id),
    addVersions: (modelId: string, above: number) => addVersions.run({ modelId, above }).changes,
    addEvidence: (id: string) => addEvidence.run(id).changes,
    addLog: (id: string) => addLog.run(id).changes,
    /** Whether there is anything that is not here just so: then it is checked one by one. */
    hasOther: (what: keyof typeof others, id: string) => others[what].pluck().get({ id }) === 1,
    evidenceRows: (id: string) => evidence.all(id),
    logRows: (id: string) => log.all(id),
    close: () => void db.exec('DETACH incoming'),
  };
}

export type Staged = ReturnType<typeof stagedRepository>;
