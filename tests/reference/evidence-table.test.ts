import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { NAMES, UNREAD, dependencePage, dependences, fieldsOf } from '../kit/dependence';
import { evidenceSamples } from '../kit/evidence-samples';

describe('every field of the Setup', () => {
  const found = dependences(evidenceSamples());

  it('is among those that were changed', () => {
    expect(found.map((d) => d.path)).toEqual([...fieldsOf().keys()]);
    expect(found.length).toBeGreaterThan(250);
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
    for (const [under] of UNREAD) expect(found.some((d) => under.test(d.path))).toBe(true);
  });

  it('is on the page just as it was found', () => {
    expect(readFileSync('docs/evidence.md', 'utf8')).toBe(dependencePage(found));
  });

  it.each([
    ['/program/outputs/*/reversed', ['entry', 'sticks', 'capture', 'preflight']],
    ['/installation/mounting', ['corrections', 'mounting', 'level', 'preflight', 'tune']],
    ['/airframe/measures/flyingPitchDeg', ['level']],
    ['/installation/revisions/servoReplaced', ['sticks', 'corrections', 'failsafe', 'tune']],
    ['/installation/secondHand', ['identify']],
    ['/program/failsafe/*/valuePct', ['failsafe']],
  ])('%s stales at least %j', (path, steps) => {
    expect(found.find((d) => d.path === path)!.stales).toEqual(expect.arrayContaining(steps));
  });
  it.each([
    ['/airframe/measures/flyingPitchDeg', 'corrections'],
    ['/program/outputs/*/reversed', 'calibration'],
    ['/installation/secondHand', 'plain'],
    ['/airframe/surfaces/*/label', 'plain'],
  ])('%s leaves %s alone', (path, step) => {
    expect(found.find((d) => d.path === path)!.stales).not.toContain(step);
  });
});
