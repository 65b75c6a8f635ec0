import { describe, expect, it } from 'vitest';
import { FAULT_CLASSES } from '../../../tests/kit/grammar';
import { randomOf } from '../../../tests/kit/random-program';
import { FULL, SEED } from '../../../tests/kit/share';
import { parseSetup } from '../setup';
import { prove } from './index';

const EACH = FULL ? 200 : 5;

describe.each(FAULT_CLASSES.map((c) => [c.requirement, c.words, c] as const))(
  '%s: %s',
  (requirement, _, { make, seen }) => {
    it('what hands see is found at its requirement', () => {
      let shown = 0;
      for (let i = 0; i < EACH; i++) {
        const seed = (FULL ? 0 : SEED * 100) + i;
        const setup = make(randomOf(seed * 7 + 1));
        expect(parseSetup(setup)).toMatchObject({ ok: true });
        if (!seen(setup, randomOf(seed * 13 + 5))) continue;
        shown += 1;
        const { failures, leftOut } = prove(setup).results.find((r) => r.id === requirement)!;
        expect(leftOut, `seed ${seed}`).toEqual([]);
        expect(failures.length, `seed ${seed}`).toBeGreaterThan(0);
      }
      // Some of what dice make is harmless; most of it is not.
      expect(shown).toBeGreaterThan(0);
    });
  },
);
