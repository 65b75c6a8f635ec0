import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { LogEntrySchema, type LogEntry } from '../logbook';
import { readLogCsv, writeLogCsv } from './index';

const entry = (more: Partial<LogEntry> = {}): LogEntry => ({
  uid: 'entry-0001',
  version: 1,
  kind: 'flight',
  at: '2026-06-01T10:00:00.000Z',
  title: 'First pack',
  ...more,
});

describe('the log as CSV (RFC 4180)', () => {
  it('keeps commas, quotes, line ends and leading blanks of words', () => {
    const text = writeLogCsv([entry({ seen: 'He said "now", and\r\nit rolled', place: 'a,b' })]);
    expect(text).toContain('"He said ""now"", and\r\nit rolled"');
    expect(text.endsWith('\r\n')).toBe(true);
    expect(readLogCsv(text, 1).entries[0]!.seen).toBe('He said "now", and\r\nit rolled');
  });
  it.each(['=1+1', '+SUM(A1)', '-2', '@cmd', '=HYPERLINK(1)', "'=1+1", "''-2"])(
    'keeps a spreadsheet from reckoning %s, and gives it back as it was',
    (title) => {
      const text = writeLogCsv([entry({ title })]);
      expect(text).toContain(`'${title}`);
      expect(readLogCsv(text, 1).entries[0]!.title).toBe(title);
    },
  );
  it('gives back whatever was written', () => {
    const words = fc.string({ maxLength: 60 }).map((s) => s.trim());
    fc.assert(
      fc.property(words, words, fc.double({ min: 0, max: 1000, noNaN: true }), (title, seen, m) => {
        const made = LogEntrySchema.safeParse(
          entry({ title, minutes: m, ...(seen ? { seen } : {}) }),
        );
        if (!made.success || title === '') return;
        const back = readLogCsv(writeLogCsv([made.data]), 1);
        expect(back.problems).toEqual([]);
        expect(back.entries).toEqual([made.data]);
      }),
    );
  });
  it.each([
    ['title\r\nx\r\n', 'no column "at"'],
    ['at,title\r\nyesterday,x\r\n', 'is not a date'],
    ['at,title,kind\r\n2026-01-01,x,picnic\r\n', 'kind'],
    ['at,title,minutes\r\n2026-01-01,x,many\r\n', 'minutes'],
  ])('refuses %j with the line', (text, reason) => {
    const { entries, problems } = readLogCsv(text, 1);
    expect(entries).toEqual([]);
    expect(problems[0]!.reason).toContain(reason);
  });
  it('has a mark by which a spreadsheet knows its letters, and takes minutes with a comma', () => {
    expect(writeLogCsv([]).startsWith('\uFEFFat,')).toBe(true);
    const { entries } = readLogCsv('at,title,minutes\r\n2026-01-01,x,"5,5"\r\n', 1);
    expect(entries[0]!.minutes).toBe(5.5);
  });
  it('names a line without a name by what it says, so that twice is once', () => {
    const text = 'at,title\r\n2026-01-01,Out\r\n';
    expect(readLogCsv(text, 1).entries).toEqual(readLogCsv(text, 1).entries);
  });
  it('never throws on rubbish', () => {
    fc.assert(fc.property(fc.string(), (text) => void readLogCsv(text, 1)));
  });
});
