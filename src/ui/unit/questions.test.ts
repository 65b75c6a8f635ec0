import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { UNITS } from '@/core/catalogue';
import { ELSEWHERE, MANY, PARTS, QUESTIONS, keyOf, standing, summaryOf } from './questions';

const ids = Object.keys(UNITS);

describe('what a unit is asked', () => {
  it('is asked once, in a part there is', () => {
    const traits = [...QUESTIONS, ...MANY].map((q) => q.trait);
    expect(new Set(traits).size).toBe(traits.length);
    const parts = PARTS.map(([id]) => id);
    for (const q of [...QUESTIONS, ...MANY]) expect(parts, q.asks).toContain(q.part);
  });
  it.each(ids)('%s: every question that applies has an answer among those offered', (id) => {
    const { traits } = UNITS[id]!;
    for (const q of QUESTIONS.filter((q) => !q.when || q.when(traits)))
      // A capture in figures of its own, or a list of mountings of its own, is "as described".
      if (q.trait !== 'levelCapture' && q.trait !== 'orientations')
        expect(
          q.answers.map(([v]) => keyOf(v)),
          q.asks,
        ).toContain(standing(q, traits[q.trait]));
  });
  it.each(ELSEWHERE)('%s is said in a place of its own: %s', (trait, file) => {
    const source = ['.tsx', '.ts'].flatMap((end) => {
      try {
        return [readFileSync(`src/${file}${end}`, 'utf8')];
      } catch {
        return [];
      }
    });
    expect(source.join('')).toContain(trait);
  });
  it('a folded part says what stands in it, and no bare yes or no', () => {
    for (const id of ids)
      for (const [part] of PARTS) {
        const says = summaryOf(part, UNITS[id]!.traits);
        expect(says.length, `${id} ${part}`).toBeGreaterThan(3);
        expect(says.split('; ')).not.toContain('yes');
      }
    expect(summaryOf('is', UNITS['menu-receiver']!.traits)).toMatch(
      /^Roll, Pitch, Yaw; .*inside the receiver/,
    );
  });
});
