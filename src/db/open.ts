import Database from 'better-sqlite3';
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { migrate } from './migrate';

export type Db = Database.Database;

/** The file is not one of ours, is damaged, or was made by a newer version. Known by its code. */
export class UnusableError extends Error {
  readonly code = 'UNUSABLE';
}

/**
 * Opens (and makes, and migrates) the one database file.
 * @param folder where it lives; ':memory:' for tests
 * @throws UnusableError in words; the file is left as it is
 */
export function openDatabase(folder: string): Db {
  const file = folder === ':memory:' ? folder : join(folder, 'tolvan.db');
  if (folder !== ':memory:') mkdirSync(folder, { recursive: true });
  const db = new Database(file);
  try {
    db.pragma('foreign_keys = ON');
    db.pragma('busy_timeout = 5000');
    if (folder !== ':memory:') db.pragma('journal_mode = WAL');
    // An answer is acknowledged only when it is on the disk.
    db.pragma('synchronous = FULL');
    migrate(db);
    // From here on waiting would keep every other request waiting too: a writer that finds it locked
    // is told so and tries again later.
    db.pragma('busy_timeout = 50');
    return db;
  } catch (error) {
    db.close();
    throw new UnusableError(
      `${file} cannot be used: ${(error as Error).message}. It was left as it is.`,
    );
  }
}

/** Opens a copy of a database of ours, as one file that stands for itself. */
export function openCopy(file: string): Db {
  const db = new Database(file);
  db.pragma('journal_mode = DELETE');
  return db;
}
