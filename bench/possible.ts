import { LAKE_HOLLOW } from '../src/demo/lake-hollow';
import { facetsOf, grounded } from '../src/core/possible';
import { asking } from '../src/core/interrogate';
import { overUnits, proofOf } from '../src/core/verify';
import type { Setup } from '../src/core/setup';
import { took } from './took';

/** What a used unit leaves open first: five facts. */
const FIVE = ['arming', 'gain-lead', 'fade', 'full-stick', 'signal-lost'];
const ROUNDS = 3;

/** A Setup nothing is known of yet: on a scale of its own. */
const fresh = (setup: Setup, nth: number): Setup => {
  const next = structuredClone(setup);
  next.transmitter.pulse.centreUs += nth * 1e-3;
  return grounded(
    next,
    facetsOf(next).filter((f) => FIVE.includes(f.id)),
    'assumed',
  );
};

/** What a person waits, milliseconds. */
const waits = (work: () => unknown): number => {
  const start = performance.now();
  work();
  return performance.now() - start;
};

const median = (times: readonly number[]): number =>
  times.toSorted((a, b) => a - b)[Math.floor(times.length / 2)]!;

/** The proof over possible units, and the choice of an experiment, as shares of one proof of the demo models. */
export function possibleRatios(): void {
  const rows = LAKE_HOLLOW.map((make) => {
    const setup = make().versions.at(-1)!.setup;
    proofOf(fresh(setup, 1));
    const rounds = Array.from({ length: ROUNDS }, (_, i) => {
      const open = fresh(setup, 2 * i + 2);
      const waited = fresh(setup, 2 * i + 3);
      return {
        one: took(() => proofOf(open)),
        more: took(() => overUnits(open)),
        first: took(() => asking(open, [])),
        next: took(() => asking(open, [])),
        waits: waits(() => asking(waited, [])),
      };
    });
    const of = (key: keyof (typeof rounds)[number]) => median(rounds.map((r) => r[key]));
    return {
      one: of('one'),
      more: of('more'),
      first: of('first'),
      next: of('next'),
      waits: of('waits'),
    };
  });
  const sum = (key: keyof (typeof rows)[number]) => rows.reduce((s, r) => s + r[key], 0);
  const one = sum('one');
  const over = rows.map((r) => (r.one + r.more) / r.one);
  console.log(
    `proof over units with five open facts / one proof: ${((one + sum('more')) / one).toFixed(1)} over all demo models, ${median(over).toFixed(1)} for the middle one   (aim ≤ 3)`,
  );
  console.log(
    `choosing an experiment / one proof: the first ${(sum('first') / one).toFixed(2)}, any later ${(sum('next') / one).toFixed(2)}; the first takes ${median(rows.map((r) => r.waits)).toFixed(0)} ms in the middle, ${Math.max(...rows.map((r) => r.waits)).toFixed(0)} ms at most   (aim ≤ 300)`,
  );
}
