import type { Database } from 'better-sqlite3';
import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { addFold } from './fold';
import { restampEvidence } from './restamp';
import { upgradeSetups } from './upgrade';

/** 'Tlvn' in ASCII: marks the file as ours, so that a foreign database is never written to. */
export const APPLICATION_ID = 0x546c766e;

/** What SQL alone cannot do, within the transaction of its step. */
const AFTER: Readonly<Record<number, (db: Database) => void>> = {
  6: upgradeSetups,
  10: restampEvidence,
};

/** The numbered SQL files, in order. */
export function migrations(): { number: number; sql: string }[] {
  const folder = join(process.cwd(), 'src', 'db', 'migrations');
  return readdirSync(folder)
    .filter((name) => /^\d{3}-.*\.sql$/.test(name))
    .sort()
    .map((name) => ({
      number: Number(name.slice(0, 3)),
      sql: readFileSync(join(folder, name), 'utf8'),
    }));
}

/** Why a database was made by somebody later than this; undefined where it was not. */
export const newerThan = (version: number, newest: number): string | undefined =>
  version > newest
    ? `it was made by a newer Tolvan (schema ${version}, this one knows ${newest})`
    : undefined;

export const OF_ANOTHER = 'it is a database of another program';

/** Brings a database to the newest version, each step in a transaction of its own. */
export function migrate(db: Database, steps = migrations()): void {
  addFold(db);
  const id = db.pragma('application_id', { simple: true }) as number;
  const tables = db
    .prepare("SELECT count(*) FROM sqlite_schema WHERE type = 'table'")
    .pluck()
    .get();
  if (id !== APPLICATION_ID && tables !== 0) throw new Error(OF_ANOTHER);
  const version = db.pragma('user_version', { simple: true }) as number;
  const newest = steps.at(-1)?.number ?? 0;
  const newer = newerThan(version, newest);
  if (newer) throw new Error(newer);
  for (const step of steps) {
    if (step.number <= version) continue;
    db.transaction(() => {
      db.exec(step.sql);
      AFTER[step.number]?.(db);
      db.pragma(`application_id = ${APPLICATION_ID}`);
      db.pragma(`user_version = ${step.number}`);
    }).immediate();
  }
}
