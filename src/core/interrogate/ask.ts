import { randomOf } from '../dice';
import { facetsOf, withValues, type Facet } from '../possible';
import { groundOf, type Mode, type Setup } from '../setup';
import {
  aloneGroup,
  entropy,
  everyOf,
  joined,
  MOST_TUPLES,
  parted,
  sizeOf,
  someOf,
  weighed,
  type Group,
} from './belief';
import type { Answer, Experiment, Seen, Shown } from './experiment';
import { experimentsFor } from './experiments';
import { benchOf, type Possible } from './show';

/** An experiment and what was seen. */
export interface Told {
  /** The experiment, by its id. */
  experiment: string;
  answer: Answer;
}

/** What is known of one fact about the unit. */
export interface KnownFact {
  facet: Facet;
  /** Values it may still have, the likeliest first, by their keys; one where it is known. */
  values: readonly string[];
  /** Those of them that no answer speaks against. */
  agreeing: readonly string[];
  /** Seen: one is left. Alike: no experiment tells those that are left apart. Open: still to be asked. Untold: nothing here is about it. */
  by: 'seen' | 'alike' | 'open' | 'untold';
}

/** The experiment that tells most. */
export interface NextExperiment {
  experiment: Experiment;
  /** It was done before, and what was seen then fits nothing else. */
  again: boolean;
  /** Facts that its answer says something about, by their ids, the most first. */
  about: readonly string[];
  /** How much it is expected to tell, bits. */
  bits: number;
  /** Every unit that fits all answers so far would show the same: it is done to be sure. */
  confirms: boolean;
}

/** Where an asking stands. */
export interface Asking {
  /** What to try next; undefined where nothing is left to ask. */
  next: NextExperiment | undefined;
  facts: readonly KnownFact[];
  /** Answers that do not fit what else was seen, by their place in the list. */
  doubted: readonly number[];
  /**
   * It behaves like no unit that is described here: the answer that was given twice and fits none, and what the unit
   * most like it would have shown.
   */
  outside: { at: number; nearest: Seen } | undefined;
  /** So much was asked that the rest is left to be described by hand. */
  tired: boolean;
  /** How much is not known yet, bits: with what no experiment tells apart. */
  openBits: number;
}

/** How often an answer is wrong. Planning figure. */
const WRONG = 0.02;
/** Less than this is not worth an experiment, bits. */
const WORTH = 0.015;
/** A value that agrees less than this with what was seen, against the best, is ruled out: by two answers, never by one. */
const RULED_OUT = WRONG / 8;
/** The same where nothing is taken for usual: what one answer has left open is worth another. */
const WORTH_SEEN = 0.06;
/** How likely a description is right where a leaflet says it, and where it was seen. Planning figures. */
const TRUSTED = { seen: 0.95, leaflet: 0.7, assumed: 0 } as const;
/** Modes that units have in all positions, to find out which facts an experiment can be about. */
const EVERYWHERE: readonly Mode[] = ['rate', 'level', 'hold', 'rate', 'level', 'trainer', 'home'];
/** An answer that says less of a fact than this is not about it, bits. */
const ABOUT = 0.05;
/** A value that agrees less than this, against the best, has an answer against it. */
const AGAINST = 0.2;
/** Of an answer that may be seen either way, how likely the first is. Planning figure. */
const LIKELY = 0.65;
/** After so many answers the rest is described by hand. */
const MOST = 60;

/** All a Setup's unit may be, compiled once. */
class Unknown {
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
   * position counts wherever the unit comes into that position: what it does there may look like nothing in every example.
   */
  private aboutWhat(): number[][] {
    const looked = [...new Set(this.mirrors)];
    const about = new Map(looked.map((e) => [e, new Set<number>()]));
    const slotAt = new Map(this.facets.map((f, i) => [f.id, i]));
    const lookAt = (unit: Possible, e: number): Seen => {
      const { shown, slots } = unit.look(this.experiments[e]!);
      for (const slot of slots) {
        const facet = slotAt.get(`slot-${slot + 1}`);
        if (facet !== undefined) about.get(e)!.add(facet);
      }
      return shown[0];
    };
    for (const at of this.examples()) {
      const before = looked.map((e) => lookAt(this.unit(at), e));
      this.facets.forEach((f, i) =>
        f.values.forEach((_, v) => {
          const waiting = looked.filter((e) => !about.get(e)!.has(i));
          if (v === at[i] || waiting.length === 0) return;
          const other = this.unit(at.with(i, v));
          for (const e of waiting)
            if (lookAt(other, e) !== before[looked.indexOf(e)]) about.get(e)!.add(i);
        }),
      );
    }
    return this.mirrors.map((e) => [...about.get(e)!].toSorted((a, b) => a - b));
  }

  /** Units as different as can be: each mode everywhere, with anything else by chance. */
  private examples(): number[][] {
    const random = randomOf(30);
    return EVERYWHERE.map((mode, n) =>
      this.facets.map((f, i) => {
        const at = f.id.startsWith('slot-') ? f.values.findIndex((v) => v.key === mode) : -1;
        if (at >= 0) return at;
        return n === 0 ? this.base[i]! : Math.floor(random() * f.values.length);
      }),
    );
  }
}

/** Of each experiment, the first of those that are the same but for the side it is done to. */
function mirrorsOf(experiments: readonly Experiment[]): number[] {
  const kinds = experiments.map(({ act, ...e }) => {
    const size =
      'deg' in act ? { ...act, deg: Math.abs(act.deg) } : { ...act, pct: Math.abs(act.pct) };
    return JSON.stringify({ ...e, id: '', act: size });
  });
  return kinds.map((k) => kinds.indexOf(k));
}

const known = new WeakMap<Setup, Unknown>();

function unknownOf(setup: Setup): Unknown {
  const found = known.get(setup) ?? new Unknown(setup);
  known.set(setup, found);
  return found;
}

/** How likely one of several things is seen, where a unit moves so little that any of them may be. */
const chance = (may: Shown, at: number): number =>
  may.length === 1 ? 1 : at === 0 ? LIKELY : (1 - LIKELY) / (may.length - 1);

/** What each of several things has of the whole, in the order they come. */
function sharesOf(rows: readonly (readonly [what: unknown, share: number])[]): Iterable<number> {
  const shares = new Map<unknown, number>();
  for (const [what, share] of rows) shares.set(what, (shares.get(what) ?? 0) + share);
  return shares.values();
}

/** Facts that an experiment is about, as one group, and what it shows for each combination. */
interface Together {
  joint: Group;
  others: Group[];
  shown: (tuple: readonly number[]) => Shown;
}

/** The beliefs while asking: groups of facts that were tested together. */
class Belief {
  groups: Group[];
  private readonly joints = new Map<string, Group>();

  constructor(
    private readonly unknown: Unknown,
    setup: Setup,
    /** Of each experiment, the facts it is about. */
    private readonly about: readonly (readonly number[])[],
  ) {
    this.groups = unknown.facets.map((f, i) => {
      const trust = TRUSTED[groundOf(setup.unit, f.of)];
      const usual = f.values.reduce((sum, v) => sum + v.usual, 0);
      const described = f.values.some((v) => v.key === f.now) ? trust : 0;
      return aloneGroup(
        i,
        f.values.map(
          (v) => (1 - described) * (v.usual / usual) + (v.key === f.now ? described : 0),
        ),
      );
    });
  }

  /** The facts of an experiment weighed together; those it was first known to be about where they are too many, or none. */
  private together(experiment: number): Together | undefined {
    for (const about of [this.about[experiment]!, this.unknown.about[experiment]!]) {
      const of = this.groups.filter((g) => g.facets.some((f) => about.includes(f)));
      if (of.length === 0 || sizeOf(of) > MOST_TUPLES) continue;
      const joint = this.jointOf(of);
      const places = about.map((f) => joint.facets.indexOf(f));
      return {
        joint,
        others: this.groups.filter((g) => !of.includes(g)),
        shown: this.unknown.showing(experiment, about, places),
      };
    }
    return undefined;
  }

  /** Groups as one; the same ones for many experiments, until something is heard. */
  private jointOf(of: readonly Group[]): Group {
    const key = of.map((g) => this.groups.indexOf(g)).join();
    const joint = this.joints.get(key) ?? joined(of);
    this.joints.set(key, joint);
    return joint;
  }

  /**
   * Bits that the answer to an experiment is expected to bring.
   * @param by with what is usual, or by what was seen alone
   * @param exact not guessed from some of the units that are possible
   */
  tells(experiment: number, by: 'weights' | 'likes', exact: boolean): number {
    const found = this.together(experiment);
    if (!found) return 0;
    const { shown } = found;
    const shares = new Map<Seen, number>();
    let doubt = 0;
    for (const [tuple, weight] of exact ? everyOf(found.joint, by) : someOf(found.joint, by)) {
      const may = shown(tuple);
      may.forEach((seen, at) =>
        shares.set(seen, (shares.get(seen) ?? 0) + weight * chance(may, at)),
      );
      doubt += weight * entropy(may.map((_, at) => chance(may, at)));
    }
    return entropy(shares.values()) - doubt;
  }

  /** What an answer to an experiment is expected to say of each fact it can be about, bits; the most first. */
  aboutOf(experiment: number): { facet: number; bits: number }[] {
    const found = this.together(experiment);
    if (!found) return [];
    const { joint, shown } = found;
    const rows = someOf(joint, 'weights');
    const seen = entropy(sharesOf(rows.map(([t, share]) => [shown(t)[0], share])));
    return joint.facets
      .map((facet, k) => {
        const both = sharesOf(rows.map(([t, share]) => [`${t[k]} ${shown(t)[0]}`, share]));
        const alone = sharesOf(rows.map(([t, share]) => [t[k]!, share]));
        return { facet, bits: seen + entropy(alone) - entropy(both) };
      })
      .filter(({ bits }) => bits > ABOUT)
      .toSorted((a, b) => b.bits - a.bits);
  }

  /** Whether units that fit every answer so far would all show the same. */
  confirms(experiment: number): boolean {
    const found = this.together(experiment);
    if (!found) return true;
    const { joint, shown } = found;
    const fitting = joint.tuples.filter((_, i) => joint.likes[i]! > AGAINST);
    return fitting.every((t) => shown(t)[0] === shown(fitting[0]!)[0]);
  }

  /** Bits of everything that is not known. */
  openBits(): number {
    return this.groups.reduce((sum, { weights }) => sum + entropy(weights), 0);
  }

  hear(experiment: number, answer: Answer): void {
    if (answer === 'unsure') return;
    const found = this.together(experiment);
    if (!found) return;
    const { shown } = found;
    const after = weighed(found.joint, (t) => {
      const may = shown(t);
      const at = may.indexOf(answer);
      return at < 0 ? WRONG : chance(may, at);
    });
    this.groups = [...found.others, ...parted(after)];
    this.joints.clear();
  }

  /** Whether the likeliest unit shows an answer. */
  agrees(experiment: number, answer: Answer): boolean {
    return (
      answer === 'unsure' || this.unknown.whole(experiment, this.likeliestUnit()).includes(answer)
    );
  }

  /** What the likeliest unit shows. */
  expects(experiment: number): Seen {
    return this.unknown.whole(experiment, this.likeliestUnit())[0];
  }

  /** Facts an experiment is about after all, with the unit as it seems to be: beside those it is known to be about. */
  missing(experiment: number): number[] {
    const unit = this.likeliestUnit();
    const [seen] = this.unknown.whole(experiment, unit);
    return this.unknown.facets.flatMap(({ values }, i) =>
      !this.about[experiment]!.includes(i) &&
      values.some((_, v) => this.unknown.whole(experiment, unit.with(i, v))[0] !== seen)
        ? [i]
        : [],
    );
  }

  private likeliestUnit(): number[] {
    return this.unknown.facets.map((_, i) => this.likeliest(i));
  }

  private likeliest(facet: number): number {
    const group = this.groups.find((g) => g.facets.includes(facet))!;
    const top = group.weights.indexOf(Math.max(...group.weights));
    return group.tuples[top]![group.facets.indexOf(facet)]!;
  }

  /**
   * Values a fact may still have by what was seen, the likeliest first; what is usual rules nothing out.
   * @param least how well a value must agree with what was seen, against the best
   */
  valuesOf(facet: number, least: number): number[] {
    const group = this.groups.find((g) => g.facets.includes(facet))!;
    const at = group.facets.indexOf(facet);
    const likes = new Map<number, number>();
    const shares = new Map<number, number>();
    group.tuples.forEach((t, i) => {
      likes.set(t[at]!, Math.max(likes.get(t[at]!) ?? 0, group.likes[i]!));
      shares.set(t[at]!, (shares.get(t[at]!) ?? 0) + group.weights[i]!);
    });
    return [...shares]
      .toSorted((a, b) => b[1] - a[1])
      .flatMap(([v]) => (likes.get(v)! > least ? [v] : []));
  }
}

/** After so many looks at what an experiment is about, it is left at that. */
const MOST_LOOKS = 4;

/**
 * What is believed after some answers. An experiment may be about a fact that no example has shown it to be about: that
 * is found with the unit as it seems to be, and everything is weighed again.
 */
function believed(
  unknown: Unknown,
  setup: Setup,
  heard: readonly { number: number; answer: Answer }[],
  about: readonly (readonly number[])[] = unknown.about,
  looks = 0,
): { belief: Belief; about: readonly (readonly number[])[] } {
  const belief = new Belief(unknown, setup, about);
  for (const { number, answer } of heard) belief.hear(number, answer);
  const more = new Map(
    [...new Set(heard.map(({ number }) => number))].flatMap((number) => {
      const missing = belief.missing(number);
      return missing.length > 0 ? [[number, missing] as const] : [];
    }),
  );
  return more.size === 0 || looks === MOST_LOOKS
    ? { belief, about }
    : believed(
        unknown,
        setup,
        heard,
        about.map((facts, e) => [...facts, ...(more.get(e) ?? [])].toSorted((a, b) => a - b)),
        looks + 1,
      );
}

/**
 * What is known of the unit after some answers, and what to try next: what tells most a second. The same answers always
 * give the same result.
 * @param setup what was planned and wired, with the description that seems most alike
 * @param first a fact by its id, asked about before anything else
 */
export function asking(setup: Setup, told: readonly Told[], first?: string): Asking {
  const unknown = unknownOf(setup);
  const heard = told.flatMap(({ experiment, answer }, at) => {
    const number = unknown.numberOf(experiment);
    return number === undefined ? [] : [{ number, answer, at }];
  });
  const { belief, about } = believed(unknown, setup, heard);

  /** Facts that something was asked about. */
  const heardOf = new Set(
    heard.flatMap(({ number, answer }) => (answer === 'unsure' ? [] : about[number]!)),
  );
  const doubted = heard.filter(({ number, answer }) => !belief.agrees(number, answer));
  /** Answers to the same experiment that fit. */
  const righted = (number: number) =>
    heard.some((h) => h.number === number && h.answer !== 'unsure' && !doubted.includes(h));
  const open = doubted.filter(({ number }) => !righted(number));
  const twice = open.find((d) => open.some((o) => o !== d && o.number === d.number));

  const asked = new Map<number, number>();
  for (const { number } of heard) asked.set(number, (asked.get(number) ?? 0) + 1);
  let left = false;
  /** The experiment that tells most bits a second. */
  const bestBy = (by: 'weights' | 'likes', least: number, exact: boolean): number | undefined => {
    let best: { number: number; worth: number } | undefined;
    unknown.experiments.forEach((e, number) => {
      // Its mirror image says as much, as long as neither was done.
      const mirror = unknown.mirrors[number]!;
      if (!exact && mirror !== number && !asked.has(mirror) && !asked.has(number)) return;
      const bits = belief.tells(number, by, exact);
      if (bits < least) return;
      left = true;
      // The same thing again says less than another that would show it.
      const worth = bits / e.seconds / (1 + (asked.get(number) ?? 0));
      if (!best || worth > best.worth) best = { number, worth };
    });
    return best?.number;
  };
  /** What says most a second about the fact that is asked first. */
  const [wished] = unknown.experiments
    .flatMap((e, number) => {
      const says = first === undefined ? [] : belief.aboutOf(number);
      return says.flatMap(({ facet, bits }) =>
        unknown.facets[facet]!.id === first ? [{ number, worth: bits / e.seconds }] : [],
      );
    })
    .toSorted((a, b) => b.worth - a.worth);
  // First what tells most of usual units; then whatever a single answer, or none, has left open.
  const best =
    bestBy('weights', WORTH, false) ??
    bestBy('weights', WORTH, true) ??
    bestBy('likes', WORTH_SEEN, true);
  const again = open[0] && (!left || open.length > 1) ? open[0].number : undefined;
  const wanted = twice ? undefined : (again ?? wished?.number ?? best);
  const tired = wanted !== undefined && told.length >= MOST;
  const next = tired ? undefined : wanted;
  return {
    next:
      next === undefined
        ? undefined
        : {
            experiment: unknown.experiments[next]!,
            again: next === again,
            about: belief.aboutOf(next).map(({ facet }) => unknown.facets[facet]!.id),
            bits: belief.tells(next, 'weights', false),
            confirms: belief.confirms(next),
          },
    facts: unknown.facets.map((facet, i): KnownFact => {
      const keys = (least: number) => belief.valuesOf(i, least).map((v) => facet.values[v]!.key);
      const values = keys(RULED_OUT);
      const untold = !about.some((of) => of.includes(i));
      const by = untold
        ? 'untold'
        : values.length === 1 && heardOf.has(i)
          ? 'seen'
          : left
            ? 'open'
            : 'alike';
      return { facet, values, agreeing: keys(AGAINST), by };
    }),
    doubted: doubted.map(({ at }) => at),
    outside: twice && { at: twice.at, nearest: belief.expects(twice.number) },
    tired,
    openBits: belief.openBits(),
  };
}
