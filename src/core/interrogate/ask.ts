import type { Facet } from '../possible';
import type { Setup } from '../setup';
import { AGAINST, believed, WRONG } from './belief';
import {
  looksOf,
  rewrites,
  saysNothing,
  type Answer,
  type Experiment,
  type Glance,
} from './experiment';
import { unknownOf } from './unknown';

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
  outside: { at: number; nearest: readonly Glance[] } | undefined;
  /** The last experiment after which the unit may have a wrong level, by its place in the list. */
  wrongLevel: number | undefined;
  /** So much was asked that the rest is left to be described by hand. */
  tired: boolean;
  /** How much is not known yet, bits: with what no experiment tells apart. */
  openBits: number;
}

/** Time to read, set up and answer an experiment, beside doing it, seconds. Planning figure. */
const READ_S = 25;
/** Less than this is not worth an experiment, bits. */
const WORTH = 0.015;
/** The same where nothing is taken for usual: what one answer has left open is worth another. */
const WORTH_SEEN = 0.06;
/** A value that agrees less than this with what was seen, against the best, is ruled out: by two answers, never by one. */
const RULED_OUT = WRONG / 8;
/** After so many answers the rest is described by hand. */
const MOST = 60;

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
    if (number === undefined) return [];
    let from = 0;
    return unknown.parts[number]!.map((part) => {
      const looks = looksOf(unknown.experiments[part]!).length;
      return { number: part, answer: answer.slice(from, (from += looks)), at };
    });
  });
  const { belief, about } = believed(unknown, setup, heard);

  /** Facts that something was asked about. */
  const heardOf = new Set(
    heard.flatMap(({ number, answer }) => (saysNothing(answer) ? [] : about[number]!)),
  );
  const doubted = heard.filter(({ number, answer }) => !belief.agrees(number, answer));
  /** Answers to the same experiment that fit. */
  const righted = (number: number) =>
    heard.some((h) => h.number === number && !saysNothing(h.answer) && !doubted.includes(h));
  const open = doubted.filter(({ number }) => !righted(number));
  const twice = open.find((d) => open.some((o) => o !== d && o.number === d.number));

  /** How often each was done, by itself or as a part of another. */
  const asked = new Map<number, number>();
  for (const { experiment } of told) {
    const number = unknown.numberOf(experiment);
    const all = number === undefined ? [] : [number, ...unknown.parts[number]!];
    for (const n of new Set(all)) asked.set(n, (asked.get(n) ?? 0) + 1);
  }
  const partsOf = (number: number) => unknown.parts[number]!;
  /** A guess is enough for a round: each of its parts can also be done by itself. */
  const tells = (number: number, by: 'weights' | 'likes', exact: boolean): number => {
    const parts = partsOf(number);
    if (parts.length === 1) return belief.tells(number, by, exact);
    return exact ? 0 : belief.tellsTogether(parts, by);
  };
  /** What an answer says of each fact, bits; of a round the most that one of its parts says. */
  const aboutOf = (number: number): [facet: number, bits: number][] => {
    const most = new Map<number, number>();
    for (const { facet, bits } of partsOf(number).flatMap((part) => belief.aboutOf(part)))
      most.set(facet, Math.max(bits, most.get(facet) ?? 0));
    return [...most].toSorted(([, a], [, b]) => b - a);
  };
  /** What it tells for the time it takes. The same experiment again tells less than another one. */
  const worthOf = (number: number, bits: number) =>
    bits / (unknown.experiments[number]!.seconds + READ_S) / (1 + (asked.get(number) ?? 0));
  let left = false;
  /** The experiment that tells most bits a second. */
  const bestBy = (
    by: 'weights' | 'likes',
    least: number,
    exact: boolean,
    rewriting: boolean,
  ): number | undefined => {
    let best: { number: number; worth: number } | undefined;
    unknown.experiments.forEach((e, number) => {
      if (rewrites(e) !== rewriting) return;
      // Its mirror image says as much, as long as neither was done.
      const mirror = unknown.mirrors[number]!;
      if (!exact && mirror !== number && !asked.has(mirror) && !asked.has(number)) return;
      const bits = tells(number, by, exact);
      if (bits < least * partsOf(number).length) return;
      left = true;
      const worth = worthOf(number, bits);
      if (!best || worth > best.worth) best = { number, worth };
    });
    return best?.number;
  };
  /** What says most a second about the fact that is asked first. */
  const [wished] = unknown.experiments
    .flatMap((e, number) => {
      const says = first === undefined || rewrites(e) ? [] : aboutOf(number);
      return says.flatMap(([facet, bits]) =>
        unknown.facets[facet]!.id === first ? [{ number, worth: worthOf(number, bits) }] : [],
      );
    })
    .toSorted((a, b) => b.worth - a.worth);
  // First what tells most of usual units; then whatever a single answer, or none, has left open.
  const bestOf = (rewriting: boolean) =>
    bestBy('weights', WORTH, false, rewriting) ??
    bestBy('weights', WORTH, true, rewriting) ??
    bestBy('likes', WORTH_SEEN, true, rewriting);
  // What a unit has learned is put at risk last.
  const best = bestOf(false) ?? bestOf(true);
  const again = open[0] && (!left || open.length > 1) ? open[0].number : undefined;
  const wanted = twice ? undefined : (again ?? wished?.number ?? best);
  const taught = told.findLastIndex(({ experiment }) => {
    const number = unknown.numberOf(experiment);
    return number !== undefined && rewrites(unknown.experiments[number]!);
  });
  const tired = wanted !== undefined && told.length >= MOST;
  const next = tired ? undefined : wanted;
  const facts = unknown.facets.map((facet, i): KnownFact => {
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
  });
  const notTaught = facts.some(
    ({ facet, by, values }) =>
      facet.id === 'level-capture' && by === 'seen' && values[0] !== facet.now,
  );
  return {
    next:
      next === undefined
        ? undefined
        : {
            experiment: unknown.experiments[next]!,
            again: next === again,
            about: aboutOf(next).map(([facet]) => unknown.facets[facet]!.id),
            bits: tells(next, 'weights', false),
            confirms: partsOf(next).every((part) => belief.confirms(part)),
          },
    facts,
    doubted: [...new Set(doubted.map(({ at }) => at))],
    outside: twice && {
      at: twice.at,
      nearest: partsOf(unknown.numberOf(told[twice.at]!.experiment)!).flatMap((part) =>
        belief.expects(part),
      ),
    },
    wrongLevel: taught < 0 || notTaught ? undefined : taught,
    tired,
    openBits: belief.openBits(),
  };
}
