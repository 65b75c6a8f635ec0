import { randomOf } from '../dice';
import { facetsOf, withValues, type Facet } from '../possible';
import type { Mode, Setup } from '../setup';
import type { Act, Experiment, Seen } from './experiment';
import { experimentsFor } from './experiments';
import { benchOf, type Possible } from './show';
import type { Shown } from './shown';

/** Whether a fact is the mode of a position. */
const isSlot = ({ id }: Facet): boolean => id.startsWith('slot-');

/** Modes that units have in all positions, to find out which facts an experiment can be about. */
const EVERYWHERE: readonly Mode[] = ['rate', 'level', 'hold', 'rate', 'level', 'trainer', 'home'];

/** All a Setup's unit may be, compiled once. */
export class Unknown {
  readonly facets: readonly Facet[];
  readonly experiments: readonly Experiment[];
  /** Of each experiment, the first that is the same but for its side. */
  readonly mirrors: readonly number[];
  /** Of each experiment, the facts it can be about. */
  readonly about: readonly (readonly number[])[];
  private readonly units = new Map<string, Possible>();
  private readonly shown = new Map<string, Shown>();
  /** The same for the facts an experiment is about, by what their values count together. */
  private readonly tables = new Map<string, Map<number, Shown>>();
  private readonly put: (setup: Setup) => Possible;
  private readonly base: readonly number[];
  private readonly numbers: ReadonlyMap<string, number>;

  constructor(private readonly setup: Setup) {
    this.facets = facetsOf(setup);
    this.put = benchOf(setup);
    this.experiments = experimentsFor(setup);
    this.numbers = new Map(this.experiments.map((e, i) => [e.id, i]));
    this.base = this.facets.map((f) =>
      Math.max(
        0,
        f.values.findIndex((v) => v.key === f.now),
      ),
    );
    this.mirrors = mirrorsOf(this.experiments);
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
    const key = `${experiment} ${all.join()}`;
    const known = this.shown.get(key);
    if (known) return known;
    const shown = this.unit(all).show(this.experiments[experiment]!);
    this.shown.set(key, shown);
    return shown;
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
   * Found by changing one fact after another in units of all kinds; what mirrors another is about the same. The mode of a
   * position counts wherever the unit comes into that position, and nowhere else: what it does there may look like nothing
   * in every example.
   */
  private aboutWhat(): number[][] {
    const looked = [...new Set(this.mirrors)];
    const about = new Map(looked.map((e) => [e, new Set<number>()]));
    const slotAt = new Map(this.facets.map((f, i) => [f.id, i]));
    const slots = new Set(this.facets.flatMap((f, i) => (isSlot(f) ? [i] : [])));
    const lookAt = (unit: Possible, e: number): Seen => {
      const { shown, slots } = unit.look(this.experiments[e]!);
      for (const slot of slots) {
        const facet = slotAt.get(`slot-${slot + 1}`);
        if (facet !== undefined) about.get(e)!.add(facet);
      }
      return shown.first;
    };
    for (const at of this.examples()) {
      const before = looked.map((e) => lookAt(this.unit(at), e));
      this.facets.forEach((f, i) => {
        if (slots.has(i)) return;
        f.values.forEach((_, v) => {
          const waiting = looked.filter((e) => !about.get(e)!.has(i));
          if (v === at[i] || waiting.length === 0) return;
          const other = this.unit(at.with(i, v));
          for (const e of waiting)
            if (lookAt(other, e) !== before[looked.indexOf(e)]) about.get(e)!.add(i);
        });
      });
    }
    return this.mirrors.map((e) => [...about.get(e)!].toSorted((a, b) => a - b));
  }

  /** Units as different as can be: each mode everywhere, with anything else by chance. */
  private examples(): number[][] {
    const random = randomOf(30);
    return EVERYWHERE.map((mode, n) =>
      this.facets.map((f, i) => {
        const at = isSlot(f) ? f.values.findIndex((v) => v.key === mode) : -1;
        if (at >= 0) return at;
        return n === 0 ? this.base[i]! : Math.floor(random() * f.values.length);
      }),
    );
  }
}

/** Of each experiment, the first of those that are the same but for the side it is done to. */
function mirrorsOf(experiments: readonly Experiment[]): number[] {
  const kinds = experiments.map(({ steps, ...e }) => {
    const side = steps.map(({ act }) => sideOf(act)).find((x) => x !== 0) ?? 1;
    const to = steps.map(({ act, watch }) => [turned(act, side), watch]);
    return JSON.stringify({ ...e, id: '', to });
  });
  return kinds.map((k) => kinds.indexOf(k));
}

/** The side something is done to: 1, -1, or 0 where it has none. */
function sideOf(act: Act): number {
  if (act.kind === 'stab') return 0;
  const [size = 0] = act.kind === 'tilt' ? Object.values(act.deg) : [act.pct];
  return Math.sign(size);
}

/** The same done to the other side where that is -1. */
function turned(act: Act, side: number): Act {
  if (act.kind === 'stab') return act;
  if (act.kind === 'lost') return { ...act, pct: act.pct * side };
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
