import { randomOf } from '../dice';
import { facetsOf, withValues, type Facet } from '../possible';
import type { Mode, Setup } from '../setup';
import { looksOf, SIGN, type Act, type Experiment, type Seen } from './experiment';
import { experimentsFor } from './experiments';
import { playsOf } from './play';
import { inPositions, type InPosition } from './positions';
import { benchOf, type Possible } from './show';
import type { Shown } from './shown';

/** Whether a fact is the mode of a position. */
const isSlot = ({ id }: Facet): boolean => id.startsWith('slot-');

/** Modes that a unit has in all its positions, to find out which facts an experiment can be about. */
const EVERYWHERE: readonly Mode[] = ['rate', 'level', 'hold', 'rate', 'level', 'trainer', 'home'];

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
  private readonly positions: readonly InPosition[];
  private readonly units = new Map<string, Possible>();
  private readonly shown = new Map<string, Shown>();
  /** The same for the facts an experiment is about, by what their values count together. */
  private readonly tables = new Map<string, Map<number, Shown>>();
  private readonly put: (setup: Setup) => Possible;
  private readonly base: readonly number[];
  private readonly numbers: ReadonlyMap<string, number>;
  private readonly edges: number;

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
    this.mirrors = mirrorsOf(this.experiments);
    this.edges = this.facets.findIndex(({ id }) => id === 'mode-edges');
    this.positions = inPositions(
      setup,
      this.experiments.filter(({ parts }) => parts === undefined),
      this.facets,
      playsOf(setup),
      this.unit(this.base),
    );
    this.about = this.aboutWhat();
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

  private unit(values: readonly number[]): Possible {
    const key = values.join();
    const found =
      this.units.get(key) ??
      this.put(
        withValues(
          this.setup,
          this.facets.flatMap(({ values: all, now }, f) => {
            const value = all[values[f]!]!;
            return value.key === now ? [] : [value];
          }),
        ),
      );
    this.units.set(key, found);
    return found;
  }

  /**
   * Found by changing one fact after another in units of all kinds; what mirrors another, or is the same in another
   * position of the mode channel, is about the same. The mode of a position counts wherever the unit comes into that
   * position, and nowhere else: what it does there may look like nothing in every example.
   */
  private aboutWhat(): number[][] {
    const firsts = this.positions.map((_, e) => this.positions[this.mirrors[e]!]!.first);
    const about = new Map(firsts.map((e) => [e, new Set<number>()]));
    const looked = [...about.keys()];
    const slotAt = new Map(this.facets.map((f, i) => [f.id, i]));
    const lookAt = (unit: Possible, e: number): Seen => {
      const { shown, slots } = unit.look(this.experiments[e]!);
      if (!this.positions[e]!.firm)
        for (const slot of new Set(slots)) {
          const facet = slotAt.get(`slot-${slot + 1}`);
          if (facet !== undefined) about.get(e)!.add(facet);
        }
      return shown.first;
    };
    for (const at of this.examples()) {
      const before = new Map(looked.map((e) => [e, lookAt(this.unit(at), e)]));
      this.facets.forEach((f, i) => {
        if (isSlot(f)) return;
        f.values.forEach((_, v) => {
          const waiting = looked.filter(
            (e) => !about.get(e)!.has(i) && (!f.sign || looksAtSigns(this.experiments[e]!)),
          );
          if (v === at[i] || waiting.length === 0) return;
          const other = this.unit(at.with(i, v));
          for (const e of waiting) if (lookAt(other, e) !== before.get(e)) about.get(e)!.add(i);
        });
      });
    }
    return this.parts.map((parts) => {
      const facts = parts.flatMap((e) => [...about.get(firsts[e]!)!, ...this.positions[e]!.slots]);
      return [...new Set(facts)].toSorted((a, b) => a - b);
    });
  }

  /** Units as different as can be: each mode everywhere, with anything else by chance; and the described one. */
  private examples(): number[][] {
    const random = randomOf(30);
    const everywhere = EVERYWHERE.map((mode, n) =>
      this.facets.map((f, i) => {
        const at = isSlot(f) ? f.values.findIndex((v) => v.key === mode) : -1;
        if (at >= 0) return at;
        return n === 0 ? this.base[i]! : Math.floor(random() * f.values.length);
      }),
    );
    return [...everywhere, [...this.base]];
  }
}

const looksAtSigns = (e: Experiment): boolean => looksOf(e).includes(SIGN);

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
