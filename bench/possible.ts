import { LAKE_HOLLOW } from '../src/demo/lake-hollow';
import { facetsOf, grounded } from '../src/core/possible';
import { asking } from '../src/core/interrogate';
import { overUnits, prove, proofOf } from '../src/core/verify';
import type { Setup } from '../src/core/setup';

/** What a used unit leaves open first: five facts. */
const FIVE = ['arming', 'gain-lead', 'fade', 'full-stick', 'signal-lost'];

/** A Setup nothing is known of yet: on a scale of its own. */
const fresh = (setup: Setup, nth: number): Setup => {
  const next = structuredClone(setup);
  next.transmitter.pulse.centreUs += nth * 1e-3;
  return next;
};
const took = (work: () => unknown): number => {
  const start = performance.now();
  work();
  return performance.now() - start;
};

/** The proof over possible units, and the choice of an experiment, as shares of one proof of the demo models. */
export function possibleRatios(): void {
  let [one, over, first, next] = [0, 0, 0, 0];
  for (const make of LAKE_HOLLOW) {
    const setup = make().versions.at(-1)!.setup;
    prove(fresh(setup, 1));
    one += took(() => prove(fresh(setup, 2)));
    const open = fresh(setup, 3);
    const assumed = grounded(
      open,
      facetsOf(open).filter((f) => FIVE.includes(f.id)),
      'assumed',
    );
    one += took(() => proofOf(assumed));
    over += 2 * took(() => overUnits(assumed));
    first += 2 * took(() => asking(assumed, []));
    next += 2 * took(() => asking(assumed, []));
  }
  console.log(
    `proof over units with five open facts / one proof: ${((one + over) / one).toFixed(1)}   (aim ≤ 3)`,
  );
  console.log(
    `choosing an experiment / one proof: the first ${(first / one).toFixed(2)}, any later ${(next / one).toFixed(2)}`,
  );
}
