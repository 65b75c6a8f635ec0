import { join } from 'node:path';
import '../core/verify/prover';
import {
  evidenceRepository,
  hangarRepository,
  logRepository,
  modelRepository,
  openCopy,
  openDatabase,
  shelfRepository,
  type Db,
} from '../db';

/** Everything kept on this machine: opened once in a process. */
const openWorkshop = (folder: string) => workshopOf(openDatabase(folder), folder);

/** A copy of the database, to be read and thrown away. */
export const openSnapshot = (file: string) => workshopOf(openCopy(file), file);

function workshopOf(db: Db, folder: string) {
  return {
    db,
    folder,
    /** Several reads and writes as one; nobody else writes in between. */
    write: <T>(work: () => T): T => db.transaction(work).immediate(),
    models: modelRepository(db),
    evidence: evidenceRepository(db),
    hangar: hangarRepository(db),
    log: logRepository(db),
    shelf: shelfRepository(db),
  };
}

/** A writer in a thread of its own may wait for others; nobody waits for it. */
const THREAD_BUSY_MS = 30_000;

/** The same database for a thread, with a connection of its own. */
export function openInThread(folder: string): Workshop {
  const store = openWorkshop(folder);
  store.db.pragma(`busy_timeout = ${THREAD_BUSY_MS}`);
  return store;
}

export type Workshop = ReturnType<typeof workshopOf>;

const shared = globalThis as { tolvanWorkshop?: Workshop };

/** The folder that holds the database: `TOLVAN_DATA`, or `data` under the working folder. */
export function dataFolder(): string {
  return process.env.TOLVAN_DATA ?? join(process.cwd(), 'data');
}

export function workshop(): Workshop {
  return (shared.tolvanWorkshop ??= openWorkshop(dataFolder()));
}

/** Why nothing can be opened here, in words; undefined when all is well. */
export function workshopProblem(): string | undefined {
  try {
    workshop();
    return undefined;
  } catch (error) {
    return (error as Error).message;
  }
}

export { openWorkshop };
