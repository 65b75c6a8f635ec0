import { describe, expect, it } from 'vitest';
import type { LogView } from '@/server/log';
import { changedBefore, daysOf, timeline } from './timeline';

const WORDS = {
  flight: 'Flight',
  preflight: 'Preflight',
  maintenance: 'Work',
  event: 'Event',
  note: 'Note',
};

const entry = (uid: string, at: string, version: number, more: object = {}) => ({
  uid,
  at,
  version,
  kind: 'flight' as const,
  title: uid,
  ...more,
});

const VIEW: LogView = {
  versions: [
    { version: 1, label: 'Started', at: '2026-05-01T10:00:00Z' },
    { version: 2, label: 'Gain 40 %', at: '2026-05-10T10:00:00Z' },
    { version: 3, label: 'Expo 20 %', at: '2026-05-12T09:00:00Z' },
  ],
  entries: [
    entry('third', '2026-05-12T12:00:00Z', 3),
    entry('check', '2026-05-12T11:00:00Z', 3, { kind: 'preflight', result: 'failed' }),
    entry('second', '2026-05-02T12:00:00Z', 1, { minutes: 6, gainReading: '-8', place: 'shore' }),
    entry('first', '2026-05-01T12:00:00Z', 1),
  ],
  more: false,
};

describe('line of time', () => {
  const lines = timeline(VIEW, false, WORDS);
  it('has versions and lines, newest first', () => {
    expect(lines.map((l) => l.key)).toEqual([
      'third',
      'check',
      'v3',
      'v2',
      'second',
      'first',
      'v1',
    ]);
    expect(lines[1]).toMatchObject({ mark: 'preflight', failed: true });
    expect(lines[4]!.details).toEqual(['shore', '6 min · gain read -8']);
  });
  it('leaves versions out where something is searched, and those older than what is loaded', () => {
    expect(timeline(VIEW, true, WORDS).map((l) => l.mark)).not.toContain('version');
    const part = { ...VIEW, entries: VIEW.entries.slice(0, 2), more: true };
    expect(timeline(part, false, WORDS).map((l) => l.key)).toEqual(['third', 'check']);
    expect(timeline(undefined, false, WORDS)).toEqual([]);
  });
  it('is cut into the days on which something happened, with what lies between', () => {
    expect(daysOf(lines).map((d) => [d.idleDays, d.lines.map((l) => l.key)])).toEqual([
      [0, ['v1', 'first']],
      [0, ['second']],
      [7, ['v2']],
      [1, ['v3', 'check', 'third']],
    ]);
    expect(daysOf([])).toEqual([]);
  });
  it.each([
    ['v1', undefined],
    ['v3', { from: 2, to: 3, since: 'version 2' }],
    ['first', undefined],
    ['second', undefined],
    ['third', { from: 1, to: 3, since: 'the flight before' }],
    ['check', { from: 1, to: 3, since: 'the flight before' }],
  ])('what changed before %s', (key, expected) => {
    expect(
      changedBefore(
        lines,
        lines.find((l) => l.key === key)!,
        'flight',
      ),
    ).toEqual(expected);
  });
  it('the first flight with a later version is compared with version 1', () => {
    const only = timeline({ ...VIEW, entries: [VIEW.entries[0]!] }, false, WORDS);
    expect(changedBefore(only, only[0]!, 'flight')).toEqual({ from: 1, to: 3, since: 'version 1' });
  });
});
