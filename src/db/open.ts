import Database from 'better-sqlite3';
import { existsSync, mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { addFold } from './fold';
import { headerOf, type FileHeader } from './header';
import { APPLICATION_ID, migrate, migrations, newerThan, OF_ANOTHER } from './migrate';

export type Db = Database.Database;

type Header = Extract<FileHeader, { kind: 'database' }>;

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
  if (folder !== ':memory:') lookAt(folder, file);
  let db: Db;
  try {
    db = new Database(file);
  } catch (error) {
    throw unusable(file, error);
  }
  try {
    db.pragma('foreign_keys = ON');
    db.pragma('busy_timeout = 5000');
    if (folder !== ':memory:') db.pragma('journal_mode = WAL');
    // An answer is acknowledged only when it is on the disk.
    db.pragma('synchronous = FULL');
    migrate(db);
    // From here on waiting would keep every other request waiting too: a writer that finds it locked
    // learns this and tries again later.
    db.pragma('busy_timeout = 50');
    return db;
  } catch (error) {
    db.close();
    throw unusable(file, error);
  }
}

/** Whether a file is ours is checked before it is opened: opening one for writing would change its journal. */
function lookAt(folder: string, file: string): void {
  try {
    mkdirSync(folder, { recursive: true });
    const header = headerOf(file);
    if (header.kind === 'folder') throw new Error('a folder lies in its place');
    if (header.kind === 'other') throw new Error('it is no database');
    if (header.kind === 'none') return;
    const { applicationId, userVersion, isEmpty } = saidBy(file, header);
    const newer = newerThan(userVersion, migrations().at(-1)!.number);
    if (applicationId === APPLICATION_ID && newer) throw new Error(newer);
    if (applicationId !== APPLICATION_ID && !isEmpty) throw new Error(OF_ANOTHER);
  } catch (error) {
    throw unusable(file, error);
  }
}

/**
 * What a database says of itself. After a process was killed the newest of it, its name too, may stand in the journal
 * beside it, which only a reader of databases reads. One that was begun and not yet made ours has no table in it.
 */
function saidBy(file: string, { applicationId, userVersion }: Header) {
  if (applicationId === APPLICATION_ID && !existsSync(`${file}-wal`))
    return { applicationId, userVersion, isEmpty: false };
  const db = new Database(file, { readonly: true });
  try {
    const read = (sql: string) => db.prepare(sql).pluck().get() as number;
    return {
      applicationId: read('PRAGMA application_id'),
      userVersion: read('PRAGMA user_version'),
      isEmpty: read("SELECT count(*) FROM sqlite_schema WHERE type = 'table'") === 0,
    };
  } finally {
    db.close();
  }
}

/** What the system calls it, in words. */
const CODES: Readonly<Record<string, string>> = {
  EROFS: 'the disk is read-only',
  EACCES: 'writing there is not allowed',
  EPERM: 'writing there is not allowed',
  ENOSPC: 'the disk is full',
  EEXIST: 'there is a file where its folder should be',
  ENOTDIR: 'there is a file where its folder should be',
  SQLITE_READONLY: 'the disk is read-only',
  SQLITE_READONLY_DIRECTORY: 'the disk is read-only',
  SQLITE_CANTOPEN: 'it cannot be opened for writing',
};

function unusable(file: string, error: unknown): UnusableError {
  const { code, message } = error as Error & { code?: string };
  const why = (code && CODES[code]) ?? message;
  return new UnusableError(`${file} cannot be used: ${why}. It was not changed.`);
}

/** Opens a copy of a database of ours, as one file that stands for itself. */
export function openCopy(file: string): Db {
  const db = new Database(file);
  db.pragma('journal_mode = DELETE');
  addFold(db);
  return db;
}
