import Papa from 'papaparse';
import { LogEntrySchema, type LogEntry } from '../logbook';

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
const FORMULA = /^[=+\-@\t\r]/;
const guarded = (text: string) => (FORMULA.test(text) ? `'${text}` : text);
const bare = (text: string) => (/^'[=+\-@\t\r]/.test(text) ? text.slice(1) : text);

/** Log entries as CSV: a header, CRLF, quoted where needed (RFC 4180). */
export function writeLogCsv(entries: readonly LogEntry[]): string {
  const rows = entries.map((entry) =>
    COLUMNS.map((column) => {
      const value = entry[column];
      return value === undefined ? '' : typeof value === 'number' ? String(value) : guarded(value);
    }),
  );
  return Papa.unparse({ fields: [...COLUMNS], data: rows }, { newline: '\r\n' }) + '\r\n';
}

/** Largest number of lines taken at once. */
const MOST_LINES = 20_000;

/**
 * Log entries out of CSV. Columns are known by their header; only date and title are needed.
 * @param version taken where a line names none @returns entries and, by line, what is wrong
 */
export function readLogCsv(
  text: string,
  version: number,
): { entries: LogEntry[]; problems: { line: number; reason: string }[] } {
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
  const entries: LogEntry[] = [];
  parsed.data.forEach((row, i) => {
    const cell = (name: (typeof COLUMNS)[number]) => bare((row[name] ?? '').trim());
    const date = new Date(cell('at'));
    if (Number.isNaN(date.getTime())) {
      problems.push({ line: i + 2, reason: `"${cell('at').slice(0, 40)}" is no date` });
      return;
    }
    const given = COLUMNS.flatMap((name): [string, unknown][] => {
      const value = cell(name);
      if (value === '' || name === 'at' || name === 'uid') return [];
      return [[name, name === 'minutes' || name === 'version' ? Number(value) : value]];
    });
    const entry = LogEntrySchema.safeParse({
      kind: 'flight',
      version,
      ...Object.fromEntries(given),
      at: date.toISOString(),
      uid: cell('uid') || uidOf(row),
    });
    if (entry.success) entries.push(entry.data);
    else
      for (const issue of entry.error.issues)
        problems.push({ line: i + 2, reason: `${issue.path.join('.')}: ${issue.message}` });
  });
  return { entries, problems };
}

/** The same line brought in twice is the same entry: its name is made from what it says (FNV-1a). */
function uidOf(row: Record<string, string>): string {
  const text = JSON.stringify(row);
  const hash = (seed: number) => {
    let h = seed >>> 0;
    for (let i = 0; i < text.length; i++) h = Math.imul(h ^ text.charCodeAt(i), 0x01000193) >>> 0;
    return h.toString(16).padStart(8, '0');
  };
  return `csv-${hash(0x811c9dc5)}${hash(0x01234567)}`;
}
