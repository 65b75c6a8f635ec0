import type { Asking, Posture, Reading } from '../infer';
import type { Setup } from '../setup';

/** A program being read off its transmitter, row by row. */
export interface ReadInSession {
  readonly readings: readonly Reading[];
  /** The person stopped early, with rows remaining. */
  readonly enough: boolean;
}

export const READ_IN_BEGUN: ReadInSession = { readings: [], enough: false };

/** Rows that were read. */
export const rowsRead = ({ readings }: ReadInSession, more: readonly Reading[]): ReadInSession => ({
  readings: [...readings, ...more],
  enough: false,
});

export const lastReadingBack = ({ readings }: ReadInSession): ReadInSession => ({
  readings: readings.slice(0, -1),
  enough: false,
});

/** A reading of the monitor with the controls in this posture. */
export const readingAt = (
  { program }: Pick<Setup, 'program'>,
  controls: Posture,
  values: Readonly<Record<number, number | undefined>>,
): Reading => ({
  controls,
  channels: Array.from(
    { length: Math.max(...program.outputs.map((o) => o.channel)) },
    (_, i) => values[i + 1],
  ),
});

/** Percent a monitor can show. */
export const MOST_SHOWN_PCT = 250;

/** A percentage as it is typed or copied, with a comma, a minus sign or “%”; undefined where nothing stands. */
export function percentOf(text: string): number | undefined | 'wrong' {
  const plain = text.replace('−', '-').replace(',', '.').replace('%', '').trim();
  const number = Number(plain);
  if (plain === '') return undefined;
  return Number.isFinite(number) && Math.abs(number) <= MOST_SHOWN_PCT
    ? Math.round(number * 10) / 10
    : 'wrong';
}

/** Pasted text: plain text, values of this row, whole rows, or a refusal. */
export type Pasted =
  | { as: 'text' }
  | { as: 'values'; values: Record<number, number> }
  | { as: 'rows'; readings: readonly Reading[] }
  | { as: 'refused'; reason: string };

/** Lines of numbers as they are copied from a table: tabs or semicolons between them, or blanks. */
const cellsOf = (text: string): string[][] =>
  text
    .split(/\r?\n/)
    .filter((line) => line.trim() !== '')
    .map((line) => (/[\t;]/.test(line) ? line.split(/[\t;]/) : line.trim().split(/ +(?!%)/)));

/**
 * A row copied from a table fills the fields from where it is pasted; several rows fill the rows below,
 * each from its first channel.
 * @param from channel it was pasted at
 */
export function pastedAt(
  setup: Pick<Setup, 'program'>,
  { rows }: Pick<Asking, 'rows'>,
  text: string,
  from: number,
): Pasted {
  const lines = cellsOf(text).map((cells) => cells.map(percentOf));
  const several = lines.length > 1;
  if (!several && (lines[0]?.length ?? 0) < 2) return { as: 'text' };
  const { outputs } = setup.program;
  const at = several ? 0 : outputs.findIndex((o) => o.channel === from);
  const noNumber = lines.findIndex((line) => line.some((v) => typeof v !== 'number'));
  if (noNumber >= 0)
    return {
      as: 'refused',
      reason: `line ${noNumber + 1} holds something that is no number to ±${MOST_SHOWN_PCT}`,
    };
  const fits = (line: readonly unknown[]) =>
    several ? line.length === outputs.length : line.length <= outputs.length - at;
  if (!lines.every(fits))
    return {
      as: 'refused',
      reason: `each line must hold ${outputs.length} numbers, one for each channel`,
    };
  if (lines.length > rows.length)
    return {
      as: 'refused',
      reason: `only ${rows.length} rows are known so far, and ${lines.length} were pasted`,
    };
  const valuesOf = (line: (typeof lines)[number]) =>
    Object.fromEntries(line.map((v, i) => [outputs[at + i]!.channel, v as number]));
  return several
    ? { as: 'rows', readings: lines.map((l, i) => readingAt(setup, rows[i]!, valuesOf(l))) }
    : { as: 'values', values: valuesOf(lines[0]!) };
}
