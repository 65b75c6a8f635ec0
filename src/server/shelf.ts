import type { Airframe } from '../core/setup';
import type { Head, KeptPlace } from '../db';
import { askInBackground, type ShelfLine } from './judge';
import { workshop, type Workshop } from './workshop';
import { clearOff } from './modelAdmin';

/** A model on the shelf. */
export interface ShelfEntry extends Omit<ShelfLine, 'airframe'> {
  id: string;
  name: string;
  version: number;
  /** Drawn beside it; not known before its line has been worked out. */
  airframe: Airframe | undefined;
  changedAt: string;
  /** Last flight or run, ISO 8601. */
  flownAt: string | undefined;
  /** That its last preflight check was too long ago. */
  overdue: string | undefined;
  tags: string[];
  /** When it was retired or taken off. */
  movedAt: string | undefined;
}

export interface Shelf {
  entries: ShelfEntry[];
  /** Models of that name in all. */
  found: number;
  /** Shown models whose line is still being worked out. */
  pending: number;
  /** How many are kept elsewhere. */
  elsewhere: Record<KeptPlace, number>;
}

/** A preflight check older than this is made again before flying. Common practice, no source. */
const OVERDUE_DAYS = 60;
/** Raised whenever lines are worked out otherwise: one kept by an earlier program must not speak for this one. */
export const LINE_REVISION = 4;
/** A shelf that waits a moment comes complete; it does not wait longer for proofs never made before. */
const PATIENCE_MS = 1200;
export const SHELF_PAGE = 60;
export type { KeptPlace };

const madeOf = ({ version, seen }: Pick<Head, 'version' | 'seen'>) =>
  `${LINE_REVISION} ${version} ${seen}`;

/** More names than this are looked for on the shelf itself. */
const MOST_NAMES = 200;

/** An archive older than this, with changes since, is worth a word. Common practice, no source. */
const OLD_ARCHIVE_DAYS = 30;
const DAY_MS = 86_400_000;

/** That the last archive is old and things have changed since: everything is on this one machine only. */
export interface OldArchive {
  /** When it was made; nothing where there never was one. */
  archivedAt: string | undefined;
  days: number;
}

/** @param now a moment in ms since the epoch @returns nothing where no reminder is due */
export function oldArchive(store = workshop(), now = Date.now()): OldArchive | undefined {
  const { archivedAt, begunAt, changedAt } = store.shelf.archiving();
  const since = archivedAt ?? begunAt;
  if (since === null || changedAt === null) return undefined;
  const days = Math.floor((now - Date.parse(since)) / DAY_MS);
  return days >= OLD_ARCHIVE_DAYS && (archivedAt === null || changedAt > archivedAt)
    ? { archivedAt: archivedAt ?? undefined, days }
    : undefined;
}

/** Names of the models, last changed first. */
export const namesOnShelf = (store = workshop()): { id: string; name: string }[] =>
  store.shelf.heads('', MOST_NAMES).map(({ id, name }) => ({ id, name }));

/** The shelf: models whose name has this in it, last changed first; lines are worked out only where something changed. */
export async function listModels(
  store = workshop(),
  {
    find = '',
    most = SHELF_PAGE,
    kept = 'shelf',
  }: { find?: string; most?: number; kept?: KeptPlace } = {},
): Promise<Shelf> {
  const work = workOutLines(store).catch(() => undefined);
  // Waited for once: work that goes on for longer keeps no page waiting.
  const leftMs = PATIENCE_MS - (Date.now() - working.get(store)!.sinceMs);
  if (leftMs > 0)
    await Promise.race([work, new Promise((resolve) => setTimeout(resolve, leftMs).unref())]);
  const entries = store.shelf.heads(find, most, kept).map((head): ShelfEntry => {
    const line = store.shelf.line<ShelfLine>(head.id, madeOf(head));
    return {
      status: 'todo',
      words: 'being checked …',
      done: 0,
      total: 1,
      airframe: undefined,
      ...line,
      id: head.id,
      name: head.name,
      version: head.version,
      changedAt: head.changedAt,
      flownAt: head.flownAt ?? undefined,
      overdue: overdueWords(head.checkedAt),
      tags: head.tags === '' ? [] : head.tags.split(' '),
      movedAt: head.movedAt ?? undefined,
    };
  });
  return {
    entries,
    found: store.shelf.count(find, kept),
    elsewhere: {
      shelf: store.shelf.count(),
      retired: store.shelf.count('', 'retired'),
      off: store.shelf.count('', 'off'),
    },
    pending: entries.filter((e) => e.airframe === undefined).length,
  };
}

function overdueWords(checkedAt: string | null): string | undefined {
  if (checkedAt === null) return undefined;
  const days = Math.floor((Date.now() - Date.parse(checkedAt)) / 86_400_000);
  return days > OVERDUE_DAYS ? `last preflight check ${days} days ago` : undefined;
}

const working = new WeakMap<Workshop, { work: Promise<void>; sinceMs: number }>();

/** Works out every line that is missing or stale, one after another, in the background; once at a time. */
export function workOutLines(store: Workshop): Promise<void> {
  const going = working.get(store);
  if (going) return going.work;
  const work = untilNoneIsStale(store).finally(() => working.delete(store));
  // A shelf that does not wait for it must not be ended by its failure.
  work.catch(() => undefined);
  working.set(store, { work, sinceMs: Date.now() });
  return work;
}

/** The state of each database in which no line was stale: nothing is checked again until it is written to. */
const settled = new WeakMap<Workshop, string>();

async function untilNoneIsStale(store: Workshop): Promise<void> {
  clearOff(store);
  for (;;) {
    const state = store.shelf.state();
    if (settled.get(store) === state) return;
    const [stale] = store.shelf.stale(LINE_REVISION, 1);
    if (!stale) {
      settled.set(store, state);
      return;
    }
    const { setup } = store.models.version(stale.id, stale.version)!;
    const evidence = store.evidence.of(stale.id);
    const line = await askInBackground('shelfLine', setup, evidence).catch((): ShelfLine => ({
      airframe: setup.airframe,
      status: 'caution',
      words: 'its program is too large to be proved here',
      done: 0,
      total: 1,
    }));
    store.shelf.keep(stale.id, madeOf(stale), line);
  }
}
