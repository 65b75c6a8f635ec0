import { describe, expect, it } from 'vitest';
import { cleanSetup } from '../../../tests/kit/clean';
import { editOf } from '../../../tests/kit/edits';
import { randomOf, randomProgram } from '../../../tests/kit/random-program';
import { decided, refute } from '../../../tests/kit/refuter';
import { FULL, SEED } from '../../../tests/kit/share';
import { prove, REQUIREMENTS } from './index';
import { factsOf, marginAfter } from './engine';

const PROGRAMS = FULL ? 1000 : 6;
const MOVES = FULL ? 5000 : 60;
/** Programs with more boxes are left to the full run: what is too large is not called proven anyway. */
const LIMIT = FULL ? 250_000 : 3_000;

describe('hands that do anything on the raw chain', () => {
  it.each([false, true])('refute nothing of random programs (rich: %s)', (rich) => {
    for (let i = 0; i < PROGRAMS; i++) {
      const seed = (FULL ? 0 : SEED * 100) + i + (rich ? 700_000 : 0);
      const setup = randomProgram(seed, { logic: 4, lines: 6, rich });
      expect(
        refute(setup, seed + 3, MOVES, decided(setup, LIMIT)),
        `program ${seed}`,
      ).toBeUndefined();
    }
  });
  it('refute nothing of set-ups as the planner makes them, with something changed or not', () => {
    for (let i = 0; i < PROGRAMS; i++) {
      const seed = (FULL ? 0 : SEED * 100) + i;
      const clean = cleanSetup((seed % 900) + 1);
      if (!clean) continue;
      const edit = i % 2 === 0 ? undefined : editOf(clean.setup, randomOf(seed));
      const words = `${clean.name} ${edit?.words ?? ''}`;
      expect(refute(edit?.setup ?? clean.setup, seed + 5, MOVES), words).toBeUndefined();
    }
  });
});

it('what fails shows itself where its witness leads, walked from power-up, hardly a trim moved for nothing', () => {
  let walked = 0;
  const hidden: string[] = [];
  const needless: string[] = [];
  for (let i = 0; i < (FULL ? 400 : 16); i++) {
    const seed = (FULL ? 0 : SEED * 1000) + i;
    const setup = randomProgram(seed, { logic: 4, lines: 6, rich: i % 2 === 0 });
    const facts = factsOf(setup);
    for (const { id, failures } of prove(setup, { limit: LIMIT }).results)
      for (const failure of failures) {
        const claims = REQUIREMENTS.find((r) => r.id === id)!.claims(facts);
        const claim = claims.find((c) => c.key === failure.claim)!;
        if (claim.form === 'setup' || claim.asked !== 'always' || !failure.at) continue;
        const { path, unit, places } = failure.at;
        walked += 1;
        const margin = marginAfter(facts, claim, places, path, unit);
        if (!(margin !== undefined && margin < 0))
          hidden.push(`program ${seed}: ${id} ${claim.key}: ${failure.says}`);
        for (const [i, move] of path.entries()) {
          const trim = 'control' in move && setup.transmitter.controls[move.control]!;
          if (!trim || trim.kind !== 'trim' || margin === undefined) continue;
          const without = marginAfter(facts, claim, places, path.toSpliced(i, 1), unit);
          if (without !== undefined && without <= margin)
            needless.push(`program ${seed}: ${id} ${claim.key}: ${trim.label}`);
        }
      }
  }
  expect(walked).toBeGreaterThan(20);
  // Clocks that must stand just so are not always walked to.
  expect(hidden.length, hidden.join('\n')).toBeLessThanOrEqual(walked / 20);
  // A trim whose own place decides something stands where it was found.
  expect(needless.length, needless.join('\n')).toBeLessThanOrEqual(walked / 8);
});
