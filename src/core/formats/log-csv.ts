import Papa from 'papaparse';
import { LogEntrySchema, fingerprint, type LogEntry } from '../logbook';
import { dayOrderOf, readDate, type DayOrder } from './dates';

const COLUMNS = [
  'at',
  'kind',
  'title',
  'place',
  'wind',
  'battery',
  'minutes',
  'mode',
  'gainReading',
  'seen',
  'trims',
  'result',
  'version',
  'uid',
] as const;

/** A spreadsheet takes such a cell for a formula: it gets a quote before it, as is usual. */
const FORMULA = /^'*[=+\-@\t\r]/;
const guarded = (text: string) => (FORMULA.test(text) ? `'${text}` : text);
const bare = (text: string) => (/^'+[=+\-@\t\r]/.test(text) ? text.slice(1) : text);

/** "5.5", or "5,5" as half of Europe writes it. */
const numberOf = (text: string) => Number(/^\d+,\d+$/.test(text) ? text.replace(',', '.') : text);

/** Told by it a spreadsheet reads the letters as they are. */
const MARK = '\uFEFF';

/** How a log as CSV begins: a byte-order mark and the header. */
export const logCsvHead = (): string => `${MARK}${COLUMNS.join(',')}\r\n`;

/** Log entries as lines of CSV: CRLF, quoted where needed (RFC 4180). */
export function logCsvRows(entries: readonly LogEntry[]): string {
  const rows = entries.map((entry) =>
    COLUMNS.map((column) => {
      const value = entry[column];
      return value === undefined ? '' : typeof value === 'number' ? String(value) : guarded(value);
    }),
  );
  return rows.length === 0 ? '' : `${Papa.unparse(rows, { newline: '\r\n' })}\r\n`;
}

/** Log entries as CSV, head and all. */
export const writeLogCsv = (entries: readonly LogEntry[]): string =>
  logCsvHead() + logCsvRows(entries);

/** Largest number of lines taken at once: more than any log this writes. */
const MOST_LINES = 1_000_000;

export interface ReadLog {
  entries: LogEntry[];
  /** By line, what is wrong. */
  problems: { line: number; reason: string }[];
  /** A date that can be read two ways: which order the file has is for a person to say. */
  askOrder?: string;
}

/**
 * Log entries out of CSV. Columns are known by their header; only date and title are needed.
 * @param version taken where a line names none
 * @param order how its dates are written, where a person was asked
 */
export function readLogCsv(text: string, version: number, order?: DayOrder): ReadLog {
  const parsed = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
  });
  const problems = parsed.errors.map((e) => ({ line: (e.row ?? 0) + 2, reason: e.message }));
  const header = parsed.meta.fields ?? [];
  const missing = (['at', 'title'] as const).filter((c) => !header.includes(c));
  if (missing.length > 0)
    return { entries: [], problems: [{ line: 1, reason: `no column "${missing.join('", "')}"` }] };
  if (parsed.data.length > MOST_LINES)
    return { entries: [], problems: [{ line: MOST_LINES, reason: 'too many lines at once' }] };
  const dates = parsed.data.map((row) => bare((row.at ?? '').trim()));
  const told = dayOrderOf(dates);
  if (told === 'either' && order === undefined)
    return {
      entries: [],
      problems,
      askOrder: dates.find((d) => dayOrderOf([d]) === 'either')!,
    };
  if (told === 'both')
    problems.push({ line: 1, reason: 'some dates have the day first, others the month' });
  const dayOrder = told === 'day-first' || told === 'month-first' ? told : (order ?? 'day-first');
  const entries: LogEntry[] = [];
  parsed.data.forEach((row, i) => {
    const cell = (name: (typeof COLUMNS)[number]) => bare((row[name] ?? '').trim());
    const date = readDate(dates[i]!, dayOrder);
    if (!date) {
      problems.push({ line: i + 2, reason: `"${dates[i]!.slice(0, 40)}" is not a date` });
      return;
    }
    const given = COLUMNS.flatMap((name): [string, unknown][] => {
      const value = cell(name);
      if (value === '' || name === 'at' || name === 'uid') return [];
      return [[name, name === 'minutes' || name === 'version' ? numberOf(value) : value]];
    });
    const entry = LogEntrySchema.safeParse({
      kind: 'flight',
      version,
      ...Object.fromEntries(given),
      at: date.toISOString(),
      // A line without a name is known by what it says.
      uid: cell('uid') || `csv-${fingerprint(JSON.stringify(row))}`,
    });
    if (entry.success) entries.push(entry.data);
    else
      for (const issue of entry.error.issues)
        problems.push({ line: i + 2, reason: `${issue.path.join('.')}: ${issue.message}` });
  });
  return { entries, problems };
}
