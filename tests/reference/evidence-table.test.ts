import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { NAMES, UNREAD, dependenceRow, dependences, fieldsOf } from '../kit/dependence';
import { evidenceSamples } from '../kit/evidence-samples';
import { share } from '../kit/share';

/** Looked at in every run, whatever share of the fields it takes. */
const STALES: [string, string[]][] = [
  ['/program/outputs/*/reversed', ['entry', 'sticks', 'capture', 'preflight']],
  ['/installation/mounting', ['corrections', 'mounting', 'level', 'preflight', 'tune']],
  ['/airframe/measures/flyingPitchDeg', ['level']],
  ['/installation/revisions/servoReplaced', ['sticks', 'corrections', 'failsafe', 'tune']],
  ['/installation/secondHand', ['identify']],
  ['/program/failsafe/*/valuePct', ['failsafe']],
];
const SPARES: [string, string][] = [
  ['/airframe/measures/flyingPitchDeg', 'corrections'],
  ['/program/outputs/*/reversed', 'calibration'],
  ['/installation/secondHand', 'plain'],
  ['/airframe/surfaces/*/label', 'plain'],
];

describe('every field of the Setup', () => {
  const all = [...fieldsOf().keys()];
  const wanted = new Set([...share(all, 20), ...STALES.map(([p]) => p), ...SPARES.map(([p]) => p)]);
  const found = dependences(evidenceSamples(), (path) => wanted.has(path));

  it('is among those that were changed', () => {
    expect(found.map((d) => d.path)).toEqual(all.filter((path) => wanted.has(path)));
    expect(all.length).toBeGreaterThan(250);
    const untried = found.filter((d) => d.tried === 0 && !NAMES.test(d.path));
    // Wishes no sample has, and what only the drawing reads.
    expect(untried.filter((d) => !UNREAD.some(([under]) => under.test(d.path)))).toEqual([]);
  });

  it('leaves no evidence counting that the chain now contradicts', () => {
    // Another name in the words is the same thing to do and see.
    const meant = found.filter((d) => !/\/label$/.test(d.path));
    expect(meant.flatMap((d) => d.missed)).toEqual([]);
  });

  it('stales something, or has a reason not to', () => {
    const unread = found.filter((d) => d.stales.length === 0 && !NAMES.test(d.path));
    expect(
      unread.filter((d) => !UNREAD.some(([under]) => under.test(d.path))).map((d) => d.path),
    ).toEqual([]);
    // No reason that excuses nothing.
    for (const [under] of UNREAD) expect(all.some((path) => under.test(path))).toBe(true);
  });

  it('is on the page just as it was found', () => {
    const page = readFileSync('docs/evidence.md', 'utf8').split('\n');
    // A row for every field, and those that were checked say just what was found.
    expect(page.filter((line) => line.startsWith('| `/')).length).toBe(all.length);
    const rows = new Map(page.map((line) => [line.split('`')[1], cells(line)]));
    for (const d of found) expect(rows.get(d.path)).toEqual(cells(dependenceRow(d)));
  });

  it.each(STALES)('%s stales at least %j', (path, steps) => {
    expect(found.find((d) => d.path === path)!.stales).toEqual(expect.arrayContaining(steps));
  });
  it.each(SPARES)('%s leaves %s alone', (path, step) => {
    expect(found.find((d) => d.path === path)!.stales).not.toContain(step);
  });
});

/** The cells of a row, however wide the page has them. */
const cells = (line: string): string[] => line.split('|').map((cell) => cell.trim());
