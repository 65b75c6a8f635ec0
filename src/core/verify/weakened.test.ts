import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { NEVER_ALONE, claimRows, weakenedClaims } from '../../../tests/kit/weakened';

describe('every claim, taken out or made to ask less', () => {
  const all = weakenedClaims();
  it('lets a seeded fault escape, or says what it adds', () => {
    const idle = all.flatMap(({ requirement, claim, alone }) =>
      alone.length === 0 ? [`${requirement} ${claim}`] : [],
    );
    expect(idle.toSorted()).toEqual(Object.keys(NEVER_ALONE).toSorted());
  });
  it('asked somewhere instead of always: a seeded fault escapes each of most requirements', () => {
    const always = all.filter((w) => w.form.endsWith('always') && w.alone.length > 0);
    const escaping = always.filter((w) => w.less.some((l) => l.how === 'asked somewhere'));
    expect(escaping.length).toBeGreaterThan(always.length / 2);
  });
  it('the page of claims says so', () => {
    const page = readFileSync('docs/claims.md', 'utf8').replace(/ +/g, ' ');
    for (const row of claimRows(all)) expect(page).toContain(row.replace(/ +/g, ' '));
  });
});
