import { closeSync, openSync, readSync, statSync } from 'node:fs';

/** Length of the header of a database file, bytes (SQLite, "Database File Format", 1.3). */
const HEADER_BYTES = 100;
const MAGIC = 'SQLite format 3\0';
const AT = { userVersion: 60, applicationId: 68 } as const;

/** What a file says of itself before anything opens it. */
export type FileHeader =
  | { kind: 'none' }
  | { kind: 'folder' }
  | { kind: 'other' }
  | { kind: 'database'; applicationId: number; userVersion: number };

/** Reads the first bytes of a file and no more: nothing is written, not beside it either. */
export function headerOf(file: string): FileHeader {
  const stat = statSync(file, { throwIfNoEntry: false });
  if (!stat || stat.size === 0) return { kind: 'none' };
  if (stat.isDirectory()) return { kind: 'folder' };
  const bytes = Buffer.alloc(HEADER_BYTES);
  const descriptor = openSync(file, 'r');
  try {
    const read = readSync(descriptor, bytes, 0, HEADER_BYTES, 0);
    if (read < HEADER_BYTES || bytes.toString('latin1', 0, MAGIC.length) !== MAGIC)
      return { kind: 'other' };
    return {
      kind: 'database',
      applicationId: bytes.readInt32BE(AT.applicationId),
      userVersion: bytes.readInt32BE(AT.userVersion),
    };
  } finally {
    closeSync(descriptor);
  }
}
