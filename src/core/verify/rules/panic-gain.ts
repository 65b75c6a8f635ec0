import { accountOf } from '../finding';
import { PANIC_GAIN_PCT } from '../../plan';
import type { Rule } from '../rule';
import { failuresOf } from '../proof';
import { rewritten } from '../repair';

export const panicGain: Rule = {
  id: 'M10',
  title: 'Panic with no gain',
  why: 'The mode engages but does nothing: without gain the unit moves no surface.',
  explains: ['panic'],
  check: (setup, proof) =>
    failuresOf(proof, 'panic')
      .filter((f) => f.about.how === 'no-gain')
      .map((failure) => ({
        ...accountOf(failure),
        remedies: rewritten(setup, `Send a gain of ${PANIC_GAIN_PCT} % while panic acts`, (w) =>
          w.panic ? { ...w, panic: { ...w.panic, gainPct: PANIC_GAIN_PCT } } : w,
        ),
      })),
};
