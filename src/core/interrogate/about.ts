import { randomOf } from '../dice';
import type { Facet } from '../possible';
import type { Mode } from '../setup';
import { looksOf, SIGN, type Experiment, type Glance, type Step } from './experiment';
import type { Possible } from './show';

/** Whether a fact is the mode of a position. */
export const isSlot = ({ id }: Facet): boolean => id.startsWith('slot-');

/** Modes that a unit has in all its positions, to find out which facts an experiment can be about. */
const EVERYWHERE: readonly Mode[] = ['rate', 'level', 'hold', 'rate', 'level', 'trainer', 'home'];
/** How often everything that may matter yet is put otherwise at once, in each example. */
const FLIPS = 3;

/** Some experiments, and the units that may be asked. */
interface Asked {
  facets: readonly Facet[];
  experiments: readonly Experiment[];
  /** Those to look at, by number. */
  looked: readonly number[];
  /** Whether an experiment comes into the same positions whatever the unit is. */
  firm(experiment: number): boolean;
  /** The described unit, by the values of its facts. */
  base: readonly number[];
  unit(values: readonly number[]): Possible;
}

/**
 * Of each experiment that is looked at, the facts it can be about, apart from the modes of positions it comes into anyway.
 * In units of all kinds everything that may matter yet is put otherwise at once, and one fact after another where that
 * shows. A difference that shows in no example is missed.
 */
export function aboutWhat(asked: Asked): Map<number, Set<number>> {
  const { facets, base, unit } = asked;
  const about = new Map(asked.looked.map((e) => [e, new Set<number>()]));
  const runs = runsOf(asked);
  const slotAt = new Map(facets.map((f, i) => [f.id, i]));
  const random = randomOf(31);
  /** Another value of a fact. */
  const other = (i: number, value: number) => {
    const { length } = facets[i]!.values;
    return (value + 1 + Math.floor(random() * (length - 1))) % length;
  };
  for (const at of examplesOf(facets, base)) {
    const flips = Array.from({ length: FLIPS }, () => at.map((value, i) => other(i, value)));
    for (const run of runs) {
      const { seen, slots } = glancesOf(unit(at), run.experiment);
      if (!run.firm)
        for (const slot of new Set(slots)) {
          const facet = slotAt.get(`slot-${slot + 1}`);
          if (facet !== undefined) for (const { number } of run.of) about.get(number)!.add(facet);
        }
      /** Which glances of the run are others with a unit. */
      const changed = (values: readonly number[]) =>
        glancesOf(unit(values), run.experiment).seen.flatMap((glance, k) =>
          glance === seen[k] ? [] : [k],
        );
      const known = (i: number) => run.of.every(({ number }) => about.get(number)!.has(i));
      const open = facets.flatMap((f, i) =>
        isSlot(f) || (f.sign && !looksOf(run.experiment).includes(SIGN)) || known(i) ? [] : [i],
      );
      const flipped = flips.map((flip) =>
        at.map((value, i) => (open.includes(i) ? flip[i]! : value)),
      );
      if (flipped.every((values) => changed(values).length === 0)) continue;
      for (const i of open)
        for (let v = 0; v < facets[i]!.values.length; v++) {
          if (v === at[i] || known(i)) continue;
          const places = changed(at.with(i, v));
          for (const { number, glances } of run.of)
            if (glances.some((k) => places.includes(k))) about.get(number)!.add(i);
        }
    }
  }
  return about;
}

/** What a unit most likely shows, glance by glance, and the positions it comes into. */
function glancesOf(
  unit: Possible,
  experiment: Experiment,
): { seen: readonly Glance[]; slots: readonly number[] } {
  const { looks, slots } = unit.look(experiment);
  return { seen: looks.map(([glance]) => glance), slots };
}

/** Experiments that begin alike, played as one: the longest of them, with everything looked at that one of them looks at. */
interface Run {
  experiment: Experiment;
  firm: boolean;
  /** Those it stands for, and which of its glances are theirs. */
  of: { number: number; glances: readonly number[] }[];
}

const sameDoing = (a: Step, b: Step): boolean =>
  JSON.stringify({ ...a, watch: [] }) === JSON.stringify({ ...b, watch: [] });

const sameStart = (a: Experiment, b: Experiment): boolean =>
  a.fresh === b.fresh &&
  a.leadOut === b.leadOut &&
  JSON.stringify(a.controls) === JSON.stringify(b.controls);

/** Experiments sorted by how they begin; each of those that are looked at is in one run. */
export function runsOf({
  experiments,
  looked,
  firm,
}: Pick<Asked, 'experiments' | 'looked' | 'firm'>): Run[] {
  const made: { longest: number; steps: Step[]; members: number[] }[] = [];
  const byLength = looked.toSorted(
    (a, b) => experiments[b]!.steps.length - experiments[a]!.steps.length,
  );
  for (const number of byLength) {
    const e = experiments[number]!;
    const within = firm(number)
      ? made.find(
          ({ longest, steps }) =>
            firm(longest) &&
            sameStart(experiments[longest]!, e) &&
            e.steps.every((step, k) => sameDoing(step, steps[k]!)),
        )
      : undefined;
    if (within) {
      within.members.push(number);
      within.steps = within.steps.map((step, k) => ({
        ...step,
        watch: [...new Set([...step.watch, ...(e.steps[k]?.watch ?? [])])],
      }));
    } else made.push({ longest: number, steps: [...e.steps], members: [number] });
  }
  return made.map(({ longest, steps, members }): Run => {
    const e = experiments[longest]!;
    /** Where the glances of each step begin. */
    const from = steps.map((_, k) => looksOf({ steps: steps.slice(0, k) }).length);
    return {
      experiment: { ...e, id: JSON.stringify(['run', e.id, steps]), steps },
      firm: firm(longest),
      of: members.map((number) => ({
        number,
        glances: experiments[number]!.steps.flatMap(({ watch }, k) =>
          watch.map((id) => from[k]! + steps[k]!.watch.indexOf(id)),
        ),
      })),
    };
  });
}

/** Units as different as can be: each mode everywhere, with anything else by chance; and the described one. */
function examplesOf(facets: readonly Facet[], base: readonly number[]): number[][] {
  const random = randomOf(30);
  const everywhere = EVERYWHERE.map((mode, n) =>
    facets.map((f, i) => {
      const at = isSlot(f) ? f.values.findIndex((v) => v.key === mode) : -1;
      if (at >= 0) return at;
      return n === 0 ? base[i]! : Math.floor(random() * f.values.length);
    }),
  );
  return [...everywhere, [...base]];
}
