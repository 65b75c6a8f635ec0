import { facetsOf, withValues } from '../possible';
import type { Setup } from '../setup';
import { looksOf, rewrites, type Experiment, type Glance } from './experiment';
import { experimentsFor } from './experiments';
import { benchOf } from './show';

/** A fact that something depends on: the values with which it holds, and those with which it does not, by their keys. */
export interface Undecided {
  facet: string;
  keys: { proven: readonly string[]; fails: readonly string[] };
}

/** What settles a fact: what to do, and what is seen where the fact is as it must be. */
export interface Settling {
  experiment: Experiment;
  /** Which of its surfaces shows it, counted in the order they are looked at. */
  look: number;
  good: readonly Glance[];
  /** Whether it rules out every value that will not do, or some of them. */
  all: boolean;
}

/**
 * The experiment that tells most of the values with which something does not hold from those with which it does, the
 * quickest of several; everything else about the unit is as it is described.
 * @returns undefined where no experiment tells any of them apart
 */
export function settling(setup: Setup, { facet: id, keys }: Undecided): Settling | undefined {
  const facet = facetsOf(setup).find((f) => f.id === id);
  if (!facet) return undefined;
  const bench = benchOf(setup);
  const unitsWith = (of: readonly string[]) =>
    facet.values
      .filter((v) => of.includes(v.key))
      .map((v) => bench(v.key === facet.now ? setup : withValues(setup, [v])));
  const [holds, fails] = [unitsWith(keys.proven), unitsWith(keys.fails)];
  const [best] = experimentsFor(setup)
    .filter((experiment) => !rewrites(experiment))
    .flatMap((experiment) => {
      const shown = (units: typeof holds) => units.map((u) => u.show(experiment).looks);
      const [holding, failing] = [shown(holds), shown(fails)];
      return looksOf(experiment).map((_, look) => {
        const good = [...new Set(holding.flatMap((looks) => looks[look]!))];
        const told = failing.filter((looks) => !looks[look]!.some((g) => good.includes(g))).length;
        return { experiment, look, good, told };
      });
    })
    .filter(({ told }) => told > 0)
    .toSorted((a, b) => b.told - a.told || a.experiment.seconds - b.experiment.seconds);
  if (!best) return undefined;
  const { experiment, look, good, told } = best;
  return { experiment, look, good, all: told === fails.length };
}
