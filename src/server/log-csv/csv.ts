import { readLogCsv, logCsvHead, logCsvRows, type DayOrder } from '../../core/formats';
import { mergeLines, type LogEntry } from '../../core/logbook';
import { Failure } from '../failure';
import { headOf } from '../observations';
import type { Workshop } from '../workshop';

/*
 * A model's log as CSV. Nothing here hands over to other work in between: long files are read in a thread (`index.ts`).
 */

/** What a CSV would add; nothing is written. */
export interface LogPreview {
  add: number;
  known: number;
  /** The first of them. */
  problems: { line: number; reason: string }[];
  /** A date that can be read two ways: the person says how this file has them. */
  askOrder?: string;
}

const ORDERS: readonly string[] = ['day-first', 'month-first'] satisfies DayOrder[];
/** As many wrong lines as anybody reads. */
const MOST_PROBLEMS = 50;

interface Read {
  add: LogEntry[];
  known: number;
  problems: { line: number; reason: string }[];
  askOrder?: string;
}

function readInto(store: Workshop, id: string, text: string, order: string | null): Read {
  const head = headOf(store, id);
  if (order !== null && !ORDERS.includes(order))
    throw new Failure(422, [{ path: '/dates', reason: `must be one of: ${ORDERS.join(', ')}` }]);
  const { entries, problems, askOrder } = readLogCsv(
    text,
    head.version,
    (order ?? undefined) as DayOrder | undefined,
  );
  // A line of another model may name a version this one has not had.
  const versions = new Set(store.models.versions(id).map((v) => v.version));
  const placed = entries.map((e) => (versions.has(e.version) ? e : { ...e, version: 1 }));
  return {
    ...mergeLines(store.log.all(id), placed),
    problems: problems.slice(0, MOST_PROBLEMS),
    ...(askOrder === undefined ? {} : { askOrder }),
  };
}

/** Looks at a CSV. @param order how its dates are written, where a person was asked */
export function previewLog(
  id: string,
  text: string,
  order: string | null,
  store: Workshop,
): LogPreview {
  const { add, ...rest } = readInto(store, id, text, order);
  return { add: add.length, ...rest };
}

/** Writes a CSV into the log. @throws Failure 422 when any line of it is wrong: all or nothing */
export function importLog(
  id: string,
  text: string,
  order: string | null,
  store: Workshop,
): { added: number; known: number } {
  return store.write(() => {
    const { add, known, problems, askOrder } = readInto(store, id, text, order);
    if (askOrder !== undefined)
      throw new Failure(422, [
        { path: '/dates', reason: `"${askOrder}" can be read two ways: is the day first?` },
      ]);
    if (problems.length > 0)
      throw new Failure(
        422,
        problems.map((p) => ({ path: `/line ${p.line}`, reason: p.reason })),
      );
    for (const entry of add) store.log.add(id, entry);
    return { added: add.length, known };
  });
}

/** Lines written at a time, so that nobody waits for a long log. */
const PIECE = 500;

/** The log of a model as CSV (RFC 4180), piece by piece, oldest first. */
export function* exportLog(id: string, store: Workshop): Iterable<string> {
  headOf(store, id);
  yield logCsvHead();
  let last: LogEntry | undefined;
  for (;;) {
    const piece = store.log.after(id, last, PIECE);
    if (piece.length === 0) return;
    yield logCsvRows(piece);
    last = piece.at(-1);
  }
}
