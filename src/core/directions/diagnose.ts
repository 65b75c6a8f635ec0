import type { Movement } from '../chain';
import { applyPatch, type PatchOperation } from '../patch';
import { AXES, type Axis, type Setup } from '../setup';
import { factAtoms, settingAtoms, type Atom, type Place } from './atoms';
import { allExpectations, checksFor, type Check, type Expectation } from './checks';
import { cheapestFlips, type Flip } from './flips';
import { predictAll } from './predict';
import {
  structuralRemedies,
  structuresOf,
  type StructuralRemedy,
  type Structure,
} from './structures';

/** What a person saw one surface do in one check. 'centre' is: it did not move. */
export interface Observation {
  check: string;
  surface: string;
  seen: Movement;
}

export type Verdict = 'right' | 'wrong' | 'mixed' | 'still' | 'unseen';

export interface AxisVerdict {
  axis: Axis;
  stick: Verdict;
  correction: Verdict;
}

/** One change to make, with the reasons. */
export interface Change {
  atom: string;
  place: Place;
  title: string;
  why: string;
  /** For each other place that was considered: why it is not there. */
  notElsewhere: string[];
  patch: PatchOperation[];
}

/** A surface that did not answer although it should. */
export interface Silence {
  check: string;
  surface: string;
  /** True where the Setup itself says nothing will move. */
  expected: boolean;
  sentence: string;
}

export interface Diagnosis {
  verdicts: AxisVerdict[];
  /** What the observations say about the real model that the Setup had otherwise. */
  learned: Change[];
  /** What to change so that everything is right; in order. */
  changes: Change[];
  /** Proved by the chain: with `learned` and `changes` applied, all axes looked at come out right. */
  proved: boolean;
  /** The Setup that tells what was seen, and the one after the changes. */
  learnedSetup: Setup;
  correctedSetup: Setup;
  silences: Silence[];
  /** Axes with something wrong that are not fully looked at: no change is offered for them yet. */
  unfinished: Axis[];
  /** Checks not looked at whose answer would tell equally good explanations apart. */
  lookNext: Check[];
  /** What explains it equally well, the first of them taken. */
  candidates: { titles: string[]; cost: number }[];
  /** Set when nothing known explains what was seen; then the observations should be repeated. */
  contradiction: string | undefined;
}

/** Every observation must name a check and a surface the Setup has. @throws RangeError otherwise */
export function diagnose(setup: Setup, observations: readonly Observation[]): Diagnosis {
  const pairs = allExpectations(setup);
  const seen = pairs.map(
    (p) => observations.find((o) => o.check === p.check.id && o.surface === p.surface.id)?.seen,
  );
  for (const o of observations)
    if (!setup.airframe.surfaces.some((s) => s.id === o.surface))
      throw new RangeError(`there is no surface "${o.surface}"`);

  const predicted = signsOf(setup, pairs);
  const observed = pairs.map((p, i) => signOfMovement(seen[i], p));
  const looked = AXES.filter((axis) =>
    pairs.every(
      (p, i) => p.check.axis !== axis || p.check.kind !== 'correction' || seen[i] !== undefined,
    ),
  );
  const best = explanationsOf(setup, pairs, seen, observed, looked.length > 1);
  const first = best[0];
  const base = first?.setup ?? setup;
  const facts = factAtoms(base);
  const factFlips = first?.flips ?? flipsOf(base, facts, pairs, predicted);
  const basePredicted = first?.predicted ?? predicted;
  const care = maskWhere(pairs, (i) => observed[i] !== 0 && basePredicted[i] !== 0);
  const differs = maskWhere(pairs, (i) => observed[i] !== basePredicted[i]) & care;
  const explanation = first?.chosen ?? [];
  const learnedPatch = explanation.flatMap((i) => facts[i]!.patch);
  const learnedSetup = applyPatch(base, learnedPatch);
  const remedies = structuralRemedies(setup, learnedSetup);
  const repairedSetup = applyPatch(
    learnedSetup,
    remedies.flatMap((r) => r.patch),
  );

  const settled = signsOf(repairedSetup, pairs);
  const moving = maskWhere(pairs, (i) => settled[i] !== 0);
  const complete = new Set(
    AXES.filter((axis) => pairs.every((p, i) => p.check.axis !== axis || seen[i] !== undefined)),
  );
  const wrong =
    maskWhere(pairs, (i) => settled[i] !== pairs[i]!.sign && complete.has(pairs[i]!.check.axis)) &
    moving;
  const settings = settingAtoms(repairedSetup);
  const settingFlips = flipsOf(repairedSetup, settings, pairs, settled);
  const remedy = cheapestFlips(settingFlips, wrong, moving)[0];
  const correctedSetup = applyPatch(
    repairedSetup,
    (remedy ?? []).flatMap((i) => settings[i]!.patch),
  );
  const after = signsOf(correctedSetup, pairs);
  const proved =
    remedy !== undefined &&
    pairs.every(
      (p, i) =>
        after[i] === p.sign ||
        settled[i] === 0 ||
        (!complete.has(p.check.axis) && after[i] === settled[i]),
    );

  return {
    verdicts: verdictsOf(setup, pairs, seen),
    learned: [
      ...(first?.structure ? [asChange(first.structure)] : []),
      ...explanation.map((i) =>
        describeChange(
          facts[i]!,
          factFlips[i]!,
          differs,
          factFlips,
          facts,
          pairs,
          [...explanation],
          true,
        ),
      ),
    ],
    changes: proved
      ? [
          ...remedies.map(asChange),
          ...remedy.map((i) =>
            describeChange(
              settings[i]!,
              settingFlips[i]!,
              wrong,
              settingFlips,
              settings,
              pairs,
              remedy,
              false,
            ),
          ),
        ]
      : [],
    proved,
    learnedSetup,
    correctedSetup,
    silences: silencesOf(pairs, seen, basePredicted),
    unfinished: AXES.filter(
      (axis) =>
        !complete.has(axis) &&
        pairs.some(
          (p, i) => p.check.axis === axis && seen[i] !== undefined && seen[i] !== p.movement,
        ),
    ),
    lookNext: tellApart(setup, best, pairs, seen),
    candidates: best.map(({ structure, setup: known, chosen, cost }) => ({
      titles: [
        ...(structure ? [structure.title] : []),
        ...chosen.map((i) => factAtoms(known)[i]!.title),
      ],
      cost,
    })),
    contradiction:
      best.length === 0
        ? 'No reversal, no mounting of the unit and no two plugs changed over explain all of this. Look again at the surfaces marked wrong.'
        : undefined,
  };
}

/** Sign of each expected pair as the chain predicts it: 1, −1, or 0 for no movement. */
function signsOf(setup: Setup, pairs: readonly Expectation[]): number[] {
  const predictions = predictAll(setup);
  return pairs.map((pair) => {
    const answer = predictions.get(pair.check.id)?.get(pair.surface.id);
    return answer === undefined || answer.movement === 'centre' ? 0 : Math.sign(answer.deg);
  });
}

function signOfMovement(seen: Movement | undefined, pair: Expectation): number {
  if (seen === undefined || seen === 'centre') return 0;
  return seen === pair.movement ? pair.sign : -pair.sign;
}

function maskWhere(pairs: readonly unknown[], holds: (i: number) => boolean): bigint {
  return pairs.reduce<bigint>((mask, _, i) => (holds(i) ? mask | (1n << BigInt(i)) : mask), 0n);
}

/** What each atom turns round, found by asking the chain. */
function flipsOf(
  setup: Setup,
  atoms: readonly Atom[],
  pairs: readonly Expectation[],
  before: readonly number[],
): Flip[] {
  return atoms.map((atom) => {
    const after = signsOf(applyPatch(setup, atom.patch), pairs);
    return { mask: maskWhere(pairs, (i) => after[i] !== before[i]), cost: atom.cost };
  });
}

function verdictsOf(
  setup: Setup,
  pairs: readonly Expectation[],
  seen: readonly (Movement | undefined)[],
): AxisVerdict[] {
  const checks = checksFor(setup);
  const verdict = (axis: Axis, kind: Check['kind']): Verdict => {
    const answers = pairs
      .map((p, i) => ({ p, s: seen[i] }))
      .filter(({ p }) => p.check.axis === axis && p.check.kind === kind);
    const looked = answers.filter(({ s }) => s !== undefined);
    if (looked.length < answers.length || looked.length === 0)
      return looked.some(({ p, s }) => s !== p.movement) ? 'wrong' : 'unseen';
    if (looked.every(({ p, s }) => s === p.movement)) return 'right';
    if (looked.every(({ s }) => s === 'centre')) return 'still';
    return looked.some(({ p, s }) => s === p.movement) ? 'mixed' : 'wrong';
  };
  return AXES.filter((axis) => checks.some((c) => c.axis === axis)).map((axis) => ({
    axis,
    stick: verdict(axis, 'stick'),
    correction: verdict(axis, 'correction'),
  }));
}

function pairName(pair: Expectation): string {
  const part = pair.check.kind === 'stick' ? 'stick' : 'correction';
  return `${pair.surface.label.toLowerCase()} on the ${pair.check.axis} ${part}`;
}

function listed(words: string[]): string {
  const unique = [...new Set(words)];
  return unique.length > 3
    ? `${unique.slice(0, 3).join(', ')} and ${unique.length - 3} more`
    : unique.join(', ').replace(/, ([^,]*)$/, ' and $1');
}

/** Puts reasons to a change from what it and its rivals would turn round. */
function describeChange(
  atom: Atom,
  flip: Flip,
  wrong: bigint,
  flips: readonly Flip[],
  atoms: readonly Atom[],
  pairs: readonly Expectation[],
  chosen: readonly number[],
  learned: boolean,
): Change {
  const bits = (mask: bigint) => pairs.filter((_, i) => (mask >> BigInt(i)) & 1n);
  const turned = listed(bits(flip.mask).map(pairName));
  const notElsewhere = atoms.flatMap((other, i) => {
    const mask = flips[i]!.mask;
    if (other.id === atom.id || chosen.includes(i) || (mask & flip.mask) === 0n) return [];
    const spoiled = mask & ~wrong;
    if (spoiled !== 0n)
      return [
        `Not: ${lower(other.title)}. That would also turn the ${listed(bits(spoiled).map(pairName))}, which is right.`,
      ];
    if ((mask & flip.mask) !== flip.mask)
      return [
        `Not: ${lower(other.title)} alone. It leaves the ${listed(bits(flip.mask & ~mask).map(pairName))} wrong.`,
      ];
    return [`${other.title} would do as well, with more work.`];
  });
  return {
    atom: atom.id,
    place: atom.place,
    title: atom.title,
    why: learned
      ? `This is the smallest difference between the Setup and what you saw on the ${turned}.`
      : `It turns round the ${turned}, and nothing else.`,
    notElsewhere: learned ? [] : notElsewhere,
    patch: atom.patch,
  };
}

const lower = (title: string) => title[0]!.toLowerCase() + title.slice(1);

function silencesOf(
  pairs: readonly Expectation[],
  seen: readonly (Movement | undefined)[],
  predicted: readonly number[],
): Silence[] {
  return pairs.flatMap((pair, i) => {
    if (seen[i] !== 'centre') return [];
    const expected = predicted[i] === 0;
    const name = pair.surface.label;
    const sentence = expected
      ? `${name} did not move, and the Setup says so too: the mode is off, the gain is zero, or it is not plugged in there.`
      : pair.check.kind === 'stick'
        ? `${name} did not move when you ${pair.check.done}. Check its plug, that the link is up and that the servo has power.`
        : `${name} did not move when you ${pair.check.done}. Turn the gain fully up, check the mode switch, and run the throttle past the unit’s arming point with the propeller off.`;
    return [{ check: pair.check.id, surface: pair.surface.id, expected, sentence }];
  });
}

/** A way the real model may be: how it is built or fixed, and what is turned round in it. */
interface Explanation {
  structure: Structure | undefined;
  /** The Setup with the structure, nothing turned round yet. */
  setup: Setup;
  predicted: number[];
  flips: Flip[];
  /** Positions of the facts that are otherwise. */
  chosen: number[];
  cost: number;
  /** Surfaces seen to move that should stand still, or the other way about. */
  unexplained: number;
}

/**
 * The explanations with the fewest surfaces unexplained and among those the fewest faults. Mountings
 * and plugs are only thought of once the corrections of two axes were seen in full: one axis alone
 * cannot be the mounting.
 */
function explanationsOf(
  setup: Setup,
  pairs: readonly Expectation[],
  seen: readonly (Movement | undefined)[],
  observed: readonly number[],
  structuresToo: boolean,
): Explanation[] {
  const under = (known: Setup, structure: Structure | undefined, atMost: number): Explanation[] => {
    const predicted = signsOf(known, pairs);
    const unexplained = pairs.filter(
      (_, i) => seen[i] !== undefined && (observed[i] === 0) !== (predicted[i] === 0),
    ).length;
    if (unexplained > atMost) return [];
    const care = maskWhere(pairs, (i) => observed[i] !== 0 && predicted[i] !== 0);
    const differs = maskWhere(pairs, (i) => observed[i] !== predicted[i]) & care;
    const facts = factAtoms(known);
    const flips = flipsOf(known, facts, pairs, predicted);
    return cheapestFlips(flips, differs, care).map((chosen) => ({
      structure,
      setup: known,
      predicted,
      flips,
      chosen,
      cost: (structure?.cost ?? 0) + chosen.reduce((sum, i) => sum + flips[i]!.cost, 0),
      unexplained,
    }));
  };
  const plain = under(setup, undefined, Infinity);
  // A turned unit always turns two axes. Where the model shows all three, one alone is no mounting;
  // where it shows only two, the other may be the one that cannot be seen.
  const axes = new Set(pairs.filter((p) => p.check.kind === 'correction').map((p) => p.check.axis));
  const few = axes.size < 3 ? 1 : 2;
  const easy = plain[0] !== undefined && plain[0].cost < few && plain[0].unexplained === 0;
  if (easy || !structuresToo) return plain;
  const limit = plain[0]?.unexplained ?? Infinity;
  const all = [
    ...plain,
    ...structuresOf(setup).flatMap((s) => under(applyPatch(setup, s.patch), s, limit)),
  ].toSorted((a, b) => a.unexplained - b.unexplained || a.cost - b.cost);
  const [best] = all;
  return all.filter((e) => e.unexplained === best!.unexplained && e.cost <= best!.cost + 1e-9);
}

const asChange = ({ id, place, title, why, patch }: StructuralRemedy): Change => ({
  atom: id,
  place,
  title,
  why,
  notElsewhere: [],
  patch,
});

/** Checks not yet seen on which equally small explanations disagree. */
function tellApart(
  setup: Setup,
  explanations: readonly Explanation[],
  pairs: readonly Expectation[],
  seen: readonly (Movement | undefined)[],
): Check[] {
  if (explanations.length < 2) return [];
  const says = explanations.map((e) => {
    const turned = e.chosen.reduce((mask, i) => mask ^ e.flips[i]!.mask, 0n);
    return e.predicted.map((sign, i) => ((turned >> BigInt(i)) & 1n ? -sign : sign));
  });
  const ids = new Set(
    pairs.flatMap((pair, i) =>
      seen[i] === undefined && says.some((s) => s[i] !== says[0]![i]) ? [pair.check.id] : [],
    ),
  );
  return checksFor(setup).filter((c) => ids.has(c.id));
}
