import { accountOf } from '../finding';
import { PANIC_GAIN_PCT, panicWays } from '../../plan';
import type { Rule } from '../rule';
import { failuresOf } from '../proof';
import { rewritten } from '../repair';

const WAYS = {
  replace: 'Let the panic control replace the mode value',
  offsets: 'Give each mode position its own amount',
  channel: 'Use the unit’s recovery channel',
} as const;

export const panicHole: Rule = {
  id: 'M11',
  title: 'Panic does not work from everywhere',
  why: 'One fixed mix brings the mode channel to levelling from one position only. You find the gap when you need panic.',
  explains: ['panic'],
  check(setup, proof) {
    const ways = panicWays(setup);
    return failuresOf(proof, 'panic')
      .filter((f) => f.about.how === 'hole' || f.about.how === 'stuck')
      .map((failure) => ({
        ...accountOf(failure),
        remedies: (Object.keys(WAYS) as (keyof typeof WAYS)[])
          .filter((way) => ways[way] === undefined && failure.about.how === 'hole')
          .flatMap((way) =>
            rewritten(setup, WAYS[way], (w) => ({
              ...w,
              panic: {
                way,
                control: failure.about.control!,
                holdS: w.panic?.holdS ?? 0.2,
                gainPct: w.panic?.gainPct ?? PANIC_GAIN_PCT,
              },
            })),
          )
          .slice(0, 2),
      }));
  },
};
