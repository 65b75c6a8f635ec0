import Database from 'better-sqlite3';
import {
  mkdirSync,
  mkdtempSync,
  readFileSync,
  readdirSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { headerOf } from './header';
import { openDatabase, UnusableError } from './open';

let folder: string;
let file: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'tolvan-open-'));
  file = join(folder, 'tolvan.db');
});
afterEach(() => rmSync(folder, { recursive: true }));

/** A database that somebody else made. */
function foreign(change: (db: Database.Database) => void = () => undefined): void {
  const db = new Database(file);
  db.exec('CREATE TABLE birds (name TEXT)');
  change(db);
  db.close();
}

describe('a file that is not ours', () => {
  it.each<[string, () => void, RegExp]>([
    ['a database of another program', () => foreign(), /database of another program/],
    [
      'one with another name inside',
      () => foreign((db) => db.pragma('application_id = 7')),
      /database of another program/,
    ],
    [
      'of a newer version',
      () =>
        foreign((db) => {
          db.pragma(`application_id = ${0x546c766e}`);
          db.pragma('user_version = 999');
        }),
      /newer Tolvan \(schema 999/,
    ],
    ['a picture', () => writeFileSync(file, Buffer.alloc(4096, 7)), /it is no database/],
    ['a few bytes', () => writeFileSync(file, 'short'), /it is no database/],
  ])(
    '%s is refused in words, byte for byte as it was, and nothing lies beside it',
    (_, make, words) => {
      make();
      const before = readFileSync(file);
      const { mtimeMs } = statSync(file);
      expect(() => openDatabase(folder)).toThrow(UnusableError);
      expect(() => openDatabase(folder)).toThrow(words);
      expect(readFileSync(file).equals(before)).toBe(true);
      expect(statSync(file).mtimeMs).toBe(mtimeMs);
      expect(readdirSync(folder)).toEqual(['tolvan.db']);
    },
  );
  it('a folder in its place, and a file in the place of its folder, are said', () => {
    mkdirSync(file);
    expect(() => openDatabase(folder)).toThrow(/a folder lies in its place/);
    const taken = join(folder, 'taken');
    writeFileSync(taken, '');
    expect(() => openDatabase(taken)).toThrow(/there is a file where its folder should be/);
    expect(() => openDatabase(join(taken, 'below'))).toThrow(
      /there is a file where its folder should be/,
    );
  });
});

describe('a file that is ours', () => {
  it('is begun from nothing, from an empty file, and from one that was begun and no more', () => {
    openDatabase(folder).close();
    expect(headerOf(file)).toMatchObject({ kind: 'database', applicationId: 0x546c766e });
    openDatabase(folder).close();
    rmSync(file);
    writeFileSync(file, '');
    openDatabase(folder).close();
    rmSync(file);
    const begun = new Database(file);
    begun.pragma('journal_mode = WAL');
    begun.close();
    openDatabase(folder).close();
    expect(headerOf(file)).toMatchObject({ kind: 'database', applicationId: 0x546c766e });
  });
});
