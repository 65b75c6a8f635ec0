import { groundOf, type Setup } from '../setup';
import {
  aloneGroup,
  drawnFrom,
  DRAWS,
  entropy,
  everyOf,
  joined,
  MOST_TUPLES,
  parted,
  sizeOf,
  someOf,
  weighed,
  type Group,
} from './group';
import { saysNothing, type Answer, type Glance, type Seen } from './experiment';
import type { Shown } from './shown';
import type { Unknown } from './unknown';

/** How often an answer is wrong. Planning figure. */
export const WRONG = 0.02;
/** How likely a description is right where a leaflet says it, and where it was seen. Planning figures. */
const TRUSTED = { seen: 0.95, leaflet: 0.7, assumed: 0 } as const;
/** An answer that says less of a fact than this is not about it, bits. */
const ABOUT = 0.05;
/** A value that agrees less than this, against the best, has an answer against it. */
export const AGAINST = 0.2;
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

/** The beliefs while asking: groups of facts that were tested together. Experiments here are single ones, never rounds. */
export class Belief {
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
      const { spread, doubtBits } = shown(tuple);
      for (const [seen, share] of spread)
        shares.set(seen, (shares.get(seen) ?? 0) + weight * share);
      doubt += weight * doubtBits;
    }
    return entropy(shares.values()) - doubt;
  }

  /**
   * Bits that several experiments, one after another, are expected to bring: guessed from units drawn by chance. 0 where
   * their answers are too many to be weighed together.
   */
  tellsTogether(parts: readonly number[], by: 'weights' | 'likes'): number {
    const all = parts.flatMap((part) => this.about[part]!);
    if (sizeOf(this.groups.filter((g) => g.facets.some((f) => all.includes(f)))) > MOST_TUPLES)
      return 0;
    const drawn = parts.map((part) => {
      const about = this.about[part]!;
      const from = about.map((facet) => {
        const group = this.groups.find((g) => g.facets.includes(facet))!;
        return { units: drawnFrom(group, by), at: group.facets.indexOf(facet) };
      });
      const shown = this.unknown.showing(part, about, [...about.keys()]);
      return Array.from({ length: DRAWS }, (_, i) =>
        shown(from.map(({ units, at }) => units[i]![at]!)),
      );
    });
    const seen = Array.from({ length: DRAWS }, (_, i) => drawn.map((d) => d[i]!.first).join(' '));
    const doubt = drawn.flat().reduce((sum, { doubtBits }) => sum + doubtBits, 0);
    const guess = entropy(sharesOf(seen.map((s) => [s, 1 / DRAWS]))) - doubt / DRAWS;
    // Together they never tell more than the sum of what each tells.
    return Math.min(
      guess,
      parts.reduce((sum, part) => sum + this.tells(part, by, false), 0),
    );
  }

  /** What an answer to an experiment is expected to say of each fact it can be about, bits; the most first. */
  aboutOf(experiment: number): { facet: number; bits: number }[] {
    const found = this.together(experiment);
    if (!found) return [];
    const { joint, shown } = found;
    const rows = someOf(joint, 'weights');
    const seen = entropy(sharesOf(rows.map(([t, share]) => [shown(t).first, share])));
    return joint.facets
      .map((facet, k) => {
        const both = sharesOf(rows.map(([t, share]) => [`${t[k]} ${shown(t).first}`, share]));
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
    return fitting.every((t) => shown(t).first === shown(fitting[0]!).first);
  }

  /** Bits of everything that is not known. */
  openBits(): number {
    return this.groups.reduce((sum, { weights }) => sum + entropy(weights), 0);
  }

  /** What was believed before, where the same was heard. */
  resume(groups: Group[]): void {
    this.groups = groups;
    this.joints.clear();
  }

  hear(experiment: number, answer: Answer): void {
    if (saysNothing(answer)) return;
    const found = this.together(experiment);
    if (!found) return;
    const { shown } = found;
    // Seen wrong is one slip, of however many surfaces.
    const after = weighed(found.joint, (t) => shown(t).agreeing(answer) || WRONG);
    this.resume([...found.others, ...parted(after)]);
  }

  /** Whether the likeliest unit shows an answer. */
  agrees(experiment: number, answer: Answer): boolean {
    return this.unknown.whole(experiment, this.likeliestUnit()).agreeing(answer) > 0;
  }

  /** What the likeliest unit most likely shows, of each surface. */
  expects(experiment: number): readonly Glance[] {
    return this.unknown.whole(experiment, this.likeliestUnit()).looks.map(([glance]) => glance);
  }

  /** Facts an experiment is about after all, with the unit as it seems to be: beside those it is known to be about. */
  missing(experiment: number): number[] {
    const unit = this.likeliestUnit();
    const { first } = this.unknown.whole(experiment, unit);
    return this.unknown.facets.flatMap(({ values }, i) =>
      !this.about[experiment]!.includes(i) &&
      values.some((_, v) => this.unknown.whole(experiment, unit.with(i, v)).first !== first)
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
export function believed(
  unknown: Unknown,
  setup: Setup,
  heard: readonly Heard[],
): { belief: Belief; about: readonly (readonly number[])[] } {
  return lookedAgain(unknown, setup, heard, { about: unknown.about, added: '' }, 0);
}

/** An answer to an experiment, by its number. */
interface Heard {
  number: number;
  answer: Answer;
}

/** The facts each experiment is about, and what was added to those first known, as text. */
interface Abouts {
  about: readonly (readonly number[])[];
  added: string;
}

function lookedAgain(
  unknown: Unknown,
  setup: Setup,
  heard: readonly Heard[],
  { about, added }: Abouts,
  looks: number,
): { belief: Belief; about: readonly (readonly number[])[] } {
  const belief = new Belief(unknown, setup, about);
  let so = added;
  for (const { number, answer } of heard) {
    // One answer more is heard after all that were heard last time.
    so += ` ${number}: ${answer.join()}`;
    const known = unknown.beliefs.get(so);
    if (known) belief.resume(known);
    else belief.hear(number, answer);
    unknown.beliefs.set(so, belief.groups);
  }
  const more = new Map(
    [...new Set(heard.map(({ number }) => number))].flatMap((number) => {
      const missing = belief.missing(number);
      return missing.length > 0 ? [[number, missing] as const] : [];
    }),
  );
  if (more.size === 0 || looks === MOST_LOOKS) return { belief, about };
  const next: Abouts = {
    about: about.map((facts, e) => [...facts, ...(more.get(e) ?? [])].toSorted((a, b) => a - b)),
    added: `${added} ${JSON.stringify([...more])}`,
  };
  return lookedAgain(unknown, setup, heard, next, looks + 1);
}
