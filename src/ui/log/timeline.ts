import { differenceInCalendarDays, format } from 'date-fns';
import type { EntryKind } from '@/core/logbook';
import type { LogView } from '@/server/log';

/** A version or a line of the log, as the line of time has it. */
export interface TimeLine {
  key: string;
  at: string;
  /** What kind of mark it is. */
  mark: EntryKind | 'version';
  /** Its kind in words: “Flight”, “Version 3”. */
  kind: string;
  title: string;
  details: string[];
  /** Version of the Setup it was made with, or that it is. */
  version: number;
  /** A preflight check that ended otherwise than it must. */
  failed: boolean;
}

/** Lines and versions in one line of time, newest first; versions only where nothing is searched. */
export function timeline(
  view: LogView | undefined,
  filtered: boolean,
  words: Record<EntryKind, string>,
): TimeLine[] {
  if (!view) return [];
  const entries = view.entries.map((e): TimeLine => ({
    key: e.uid,
    at: e.at,
    mark: e.kind,
    kind: words[e.kind],
    title: e.title,
    version: e.version,
    failed: e.result === 'failed',
    details: [
      [e.place, e.wind && `wind ${e.wind}`, e.battery && `battery ${e.battery}`]
        .filter(Boolean)
        .join(' · '),
      [
        e.minutes !== undefined && `${e.minutes} min`,
        e.mode,
        e.gainReading && `gain read ${e.gainReading}`,
        e.trims && `trims ${e.trims}`,
      ]
        .filter(Boolean)
        .join(' · '),
      e.seen ?? '',
    ].filter((d) => d !== ''),
  }));
  const oldest = view.more ? (view.entries.at(-1)?.at ?? '') : '';
  const versions = filtered
    ? []
    : view.versions
        .filter((v) => v.at >= oldest)
        .map((v): TimeLine => ({
          key: `v${v.version}`,
          at: v.at,
          mark: 'version',
          kind: `Version ${v.version}`,
          title: v.label,
          version: v.version,
          failed: false,
          details: [],
        }));
  return [...entries, ...versions].toSorted((a, b) => b.at.localeCompare(a.at));
}

/** A day on which something happened. */
export interface Day {
  /** Its date on this device, 'yyyy-MM-dd'. */
  date: string;
  /** Days without anything since the day before it; 0 for the first. */
  idleDays: number;
  /** What happened, in the order it did. */
  lines: TimeLine[];
}

/** The days on which something happened, oldest first. */
export function daysOf(lines: readonly TimeLine[]): Day[] {
  const days: Day[] = [];
  for (const line of lines.toReversed()) {
    const date = format(line.at, 'yyyy-MM-dd');
    const last = days.at(-1);
    if (last?.date === date) last.lines.push(line);
    else
      days.push({
        date,
        idleDays: last ? differenceInCalendarDays(date, last.date) - 1 : 0,
        lines: [line],
      });
  }
  return days;
}

/** Two versions between which somebody wants to know what changed. */
export interface Between {
  from: number;
  to: number;
  /** What lies at the beginning, in words. */
  since: string;
}

/**
 * What changed before a line: of a version since the one before it, of anything else since the last
 * flight or run before it, or else since version 1.
 * @returns undefined where there is nothing before it
 */
export function changedBefore(
  lines: readonly TimeLine[],
  line: TimeLine,
  outing: string,
): Between | undefined {
  if (line.mark === 'version')
    return line.version > 1
      ? { from: line.version - 1, to: line.version, since: `version ${line.version - 1}` }
      : undefined;
  const before = lines.find((l) => l.mark === 'flight' && l.at < line.at);
  const from = before?.version ?? 1;
  return line.version === from
    ? undefined
    : { from, to: line.version, since: before ? `the ${outing} before` : 'version 1' };
}
