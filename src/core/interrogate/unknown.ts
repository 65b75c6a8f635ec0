import { facetsOf, withValues, type Facet } from '../possible';
import type { Mode, Setup } from '../setup';
import { aboutWhat, isSlot } from './about';
import type { Act, Experiment } from './experiment';
import { experimentsFor } from './experiments';
import type { Group } from './group';
import { playsOf } from './play';
import { inPositions, type InPosition } from './positions';
import { benchOf, type Possible } from './show';
import type { Shown } from './shown';

/** All a Setup's unit may be, compiled once. */
export class Unknown {
  readonly facets: readonly Facet[];
  readonly experiments: readonly Experiment[];
  /** Of each experiment, those it is made of; itself where it is one. */
  readonly parts: readonly (readonly number[])[];
  /** Of each experiment, the first that is the same but for its side. */
  readonly mirrors: readonly number[];
  /** Of each experiment, the facts it can be about. */
  readonly about: readonly (readonly number[])[];
  /** What was believed after some answers, by what was heard. */
  readonly beliefs = new Map<string, Group[]>();
  private readonly positions: readonly InPosition[];
  private readonly units = new Map<string, Possible>();
  private readonly shown = new Map<string, Shown>();
  /** The same for the facts an experiment is about, by what their values count together. */
  private readonly tables = new Map<string, Map<number, Shown>>();
  private readonly put: (setup: Setup) => Possible;
  private readonly base: readonly number[];
  private readonly numbers: ReadonlyMap<string, number>;
  private readonly edges: number;
  /** The facts that are the modes of the positions, in their order. */
  private readonly slots: readonly number[];

  constructor(private readonly setup: Setup) {
    this.facets = facetsOf(setup);
    this.put = benchOf(setup);
    this.experiments = experimentsFor(setup);
    this.numbers = new Map(this.experiments.map((e, i) => [e.id, i]));
    this.parts = this.experiments.map(
      ({ parts }, i) => parts?.map((id) => this.numbers.get(id)!) ?? [i],
    );
    this.base = this.facets.map((f) =>
      Math.max(
        0,
        f.values.findIndex((v) => v.key === f.now),
      ),
    );
    this.slots = this.facets.flatMap((f, i) => (isSlot(f) ? [i] : []));
    this.mirrors = mirrorsOf(this.experiments);
    this.edges = this.facets.findIndex(({ id }) => id === 'mode-edges');
    this.positions = inPositions(
      setup,
      this.experiments.filter(({ parts }) => parts === undefined),
      this.facets,
      playsOf(setup),
      this.unit(this.base),
    );
    this.about = this.aboutEach();
  }

  numberOf(id: string): number | undefined {
    return this.numbers.get(id);
  }

  /**
   * What an experiment shows of units that are as described but for some facts.
   * @param places where the values of those facts stand in a tuple, in their order
   */
  showing(
    experiment: number,
    facts: readonly number[],
    places: readonly number[],
  ): (tuple: readonly number[]) => Shown {
    const key = `${experiment} ${facts.join()}`;
    const table = this.tables.get(key) ?? new Map<number, Shown>();
    this.tables.set(key, table);
    const sizes = facts.map((facet) => this.facets[facet]!.values.length);
    return (tuple) => {
      let at = 0;
      for (let k = 0; k < places.length; k++) at = at * sizes[k]! + tuple[places[k]!]!;
      const known = table.get(at);
      if (known) return known;
      const all = [...this.base];
      facts.forEach((facet, k) => (all[facet] = tuple[places[k]!]!));
      const shown = this.whole(experiment, all);
      table.set(at, shown);
      return shown;
    };
  }

  /** What it shows of a unit. @param all the values of all facts */
  whole(experiment: number, all: readonly number[]): Shown {
    const [of, values] = this.asFirst(experiment, all);
    const key = `${of} ${values.join()}`;
    const known = this.shown.get(key);
    if (known) return known;
    const shown = this.unit(values).show(this.experiments[of]!);
    this.shown.set(key, shown);
    return shown;
  }

  /**
   * The same experiment in the positions of the mode channel where it was looked at first, with the modes of its own
   * positions there. Modes of positions it does not come into make no difference, and are as described.
   */
  private asFirst(
    experiment: number,
    all: readonly number[],
  ): readonly [experiment: number, all: readonly number[]] {
    const { first, slots, firm } = this.positions[experiment]!;
    // With other edges it may come into other positions.
    if (!firm) return [experiment, all];
    if (this.edges >= 0 && all[this.edges] !== this.base[this.edges]) return [experiment, all];
    const at = this.positions[first]!.slots;
    const values = all.map((value, i) => (isSlot(this.facets[i]!) ? this.base[i]! : value));
    slots.forEach((slot, i) => (values[at[i]!] = all[slot]!));
    return [first, values];
  }

  /** A unit by the values of its facts. Those that differ in the modes of their positions alone share what is compiled. */
  private unit(values: readonly number[]): Possible {
    const others = values.map((value, f) => (isSlot(this.facets[f]!) ? 0 : value)).join();
    const found =
      this.units.get(others) ??
      this.put(
        withValues(
          this.setup,
          this.facets.flatMap((facet, f) => {
            const value = facet.values[values[f]!]!;
            return isSlot(facet) || value.key === facet.now ? [] : [value];
          }),
        ),
      );
    this.units.set(others, found);
    const modes = [...this.setup.unit.settings.slots];
    this.slots.forEach(
      (f, slot) => (modes[slot] = this.facets[f]!.values[values[f]!]!.key as Mode),
    );
    return found.inModes(modes);
  }

  /**
   * What mirrors another, or is the same in another position of the mode channel, is about the same. The mode of a position
   * counts wherever the unit comes into that position, and nowhere else: what it does there may look like nothing in
   * every example.
   */
  private aboutEach(): number[][] {
    const firsts = this.positions.map((_, e) => this.positions[this.mirrors[e]!]!.first);
    const about = aboutWhat({
      facets: this.facets,
      experiments: this.experiments,
      looked: [...new Set(firsts)],
      firm: (e) => this.positions[e]!.firm,
      base: this.base,
      unit: (values) => this.unit(values),
    });
    return this.parts.map((parts) => {
      const facts = parts.flatMap((e) => [...about.get(firsts[e]!)!, ...this.positions[e]!.slots]);
      return [...new Set(facts)].toSorted((a, b) => a - b);
    });
  }
}

/** Of each experiment, the first of those that are the same but for the side it is done to. */
function mirrorsOf(experiments: readonly Experiment[]): number[] {
  const kinds = experiments.map(({ steps, parts: _, ...e }) => {
    const side = steps.map(({ act }) => sideOf(act)).find((x) => x !== 0) ?? 1;
    const to = steps.map((step) => ({ ...step, act: turned(step.act, side) }));
    return JSON.stringify({ ...e, id: '', to });
  });
  return kinds.map((k) => kinds.indexOf(k));
}

/** The side something is done to: 1, -1, or 0 where it has none. */
function sideOf(act: Act): number {
  switch (act.kind) {
    case 'tilt':
      return Math.sign(Object.values(act.deg)[0] ?? 0);
    case 'lost':
      return Math.sign(act.pct);
    default:
      return 0;
  }
}

/** The same done to the other side where that is -1. */
function turned(act: Act, side: number): Act {
  if (act.kind === 'lost') return { ...act, pct: act.pct * side };
  if (act.kind !== 'tilt') return act;
  const deg = Object.fromEntries(Object.entries(act.deg).map(([axis, by]) => [axis, by * side]));
  return { ...act, deg };
}

const known = new WeakMap<Setup, Unknown>();

/** The same for the same Setup: Setups are immutable. */
export function unknownOf(setup: Setup): Unknown {
  const found = known.get(setup) ?? new Unknown(setup);
  known.set(setup, found);
  return found;
}
