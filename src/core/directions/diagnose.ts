import { applyPatch } from '../patch';
import { AXES, type Axis, type Setup } from '../setup';
import { checksFor, type Check, type Expectation } from './checks';
import {
  equalsOf,
  explain,
  lookedAt,
  tellApart,
  type Explanation,
  type Look,
  type Looked,
  type Observation,
} from './explain';
import { asChange, cure, type Change } from './remedy';

export type Verdict = 'right' | 'wrong' | 'mixed' | 'still' | 'unseen';

export interface AxisVerdict {
  axis: Axis;
  stick: Verdict;
  correction: Verdict;
}

/** A surface that did not answer although it should. */
export interface Silence {
  check: string;
  surface: string;
  sentence: string;
}

/** One way to account for everything seen. */
export interface Candidate {
  titles: string[];
  cost: number;
}

/** Something to do before looking again: nothing is reversed, something is off or out. */
export interface Try {
  title: string;
  act: string;
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
  /** Where nothing moved: what to do, the likeliest first. */
  tries: Try[];
  /** Axes with something wrong that are not fully looked at: no change is offered for them yet. */
  unfinished: Axis[];
  /** Movements whose answer would tell equally good explanations apart, the best first. */
  lookNext: Look[];
  /** What explains it equally well, the first of them taken. */
  candidates: Candidate[];
  /** What explains it with more faults. */
  dearer: Candidate[];
  /** Set when nothing known explains what was seen; then the observations should be repeated. */
  contradiction: string | undefined;
}

/** Every observation must name a check and a surface the Setup has. @throws RangeError otherwise */
export function diagnose(setup: Setup, observations: readonly Observation[]): Diagnosis {
  const looked = lookedAt(setup, observations);
  const { pairs, seen } = looked;
  const all = explain(setup, observations);
  // Nothing explains the ones that stood still: what moved may still say something.
  const moved = observations.filter((o) => o.seen !== 'centre');
  const usable = all.length > 0 ? all : explain(setup, moved);
  const best = usable[0];
  const facts = (best?.structures ?? []).filter((s) => s.act === undefined);
  const learnedSetup = applyPatch(
    setup,
    [...facts, ...(best?.facts ?? [])].flatMap((f) => f.patch),
  );
  const complete = new Set(
    AXES.filter((axis) =>
      pairs.every(
        (p, i) => p.check.axis !== axis || p.check.again || p.sign === 0 || seen[i] !== undefined,
      ),
    ),
  );
  const { changes, correctedSetup, proved } = cure(setup, learnedSetup, pairs, complete);
  const equals = equalsOf(all);
  const mixing = equals.length === 1 && facts.some((f) => /^(wing|mix)-/.test(f.id));
  return {
    verdicts: verdictsOf(setup, looked),
    learned: [
      ...facts.map(asChange),
      ...(best?.facts ?? []).map((atom): Change => ({
        atom: atom.id,
        place: atom.place,
        title: atom.title,
        why: 'This is the smallest difference between the Setup and what you saw.',
        notElsewhere: [],
        patch: atom.patch,
      })),
    ],
    changes,
    proved,
    learnedSetup,
    correctedSetup,
    silences: silencesOf(looked),
    tries: triesOf(all),
    // The sticks alone show who mixes; no correction is needed for it.
    unfinished: (mixing ? [] : AXES).filter(
      (axis) =>
        !complete.has(axis) &&
        pairs.some((p, i) => p.check.axis === axis && seen[i] !== undefined && seen[i] !== p.sign),
    ),
    lookNext: tellApart(looked, all),
    candidates: equals.map(candidate),
    dearer: all.slice(equals.length).map(candidate),
    contradiction: all.length > 0 ? undefined : contradictionOf(looked),
  };
}

const candidate = (e: Explanation): Candidate => ({
  titles: [...e.structures, ...e.facts].map((f) => f.title),
  cost: e.cost,
});

/** Acts of the explanations that need nothing else, each once, as far as they are likelier than a fault. */
function triesOf(explanations: readonly Explanation[]): Try[] {
  const tries = new Map<string, Try>();
  for (const { structures, facts } of explanations)
    for (const { act, title } of structures)
      if (act !== undefined && facts.length === 0) tries.set(title, { title, act });
  return [...tries.values()];
}

function contradictionOf({ pairs, seen }: Looked): string {
  const wrongModes = new Set(
    pairs.flatMap((p, i) =>
      p.check.again && seen[i] !== undefined && seen[i] !== p.sign ? [p.check.mode!] : [],
    ),
  );
  const firstRight = pairs.every(
    (p, i) => p.check.again || seen[i] === undefined || seen[i] === p.sign,
  );
  return firstRight && wrongModes.size > 0
    ? `Only ${[...wrongModes].join(' and ')} is wrong: this unit has directions of its own for each mode. Reverse the correction in the settings of ${[...wrongModes].join(' and ')}, not elsewhere, and check again.`
    : 'No reversal, mounting, swapped plug or switched-off output explains all of this. Check the surfaces marked wrong again.';
}

function verdictsOf(setup: Setup, { pairs, seen }: Looked): AxisVerdict[] {
  const verdict = (axis: Axis, kind: Check['kind']): Verdict => {
    const asked = pairs
      .map((p, i) => ({ sign: p.sign, check: p.check, saw: seen[i] }))
      .filter((a) => a.check.axis === axis && a.check.kind === kind && a.sign !== 0);
    const first = verdictOn(asked.filter((a) => !a.check.again));
    const again = asked.filter((a) => a.check.again);
    return first === 'right' && again.length > 0 ? verdictOn(again) : first;
  };
  const checks = checksFor(setup);
  return AXES.filter((axis) => checks.some((c) => c.axis === axis)).map((axis) => ({
    axis,
    stick: verdict(axis, 'stick'),
    correction: verdict(axis, 'correction'),
  }));
}

/** What the answers of one axis come to. */
function verdictOn(asked: readonly { sign: number; saw: number | undefined }[]): Verdict {
  const answers = asked.filter((a) => a.saw !== undefined);
  const right = answers.filter((a) => a.saw === a.sign);
  if (answers.length < asked.length || asked.length === 0)
    return right.length < answers.length ? 'wrong' : 'unseen';
  if (right.length === answers.length) return 'right';
  if (answers.every((a) => a.saw === 0)) return 'still';
  return right.length > 0 ? 'mixed' : 'wrong';
}

function silencesOf({ pairs, seen }: Looked): Silence[] {
  return pairs.flatMap((pair, i) =>
    seen[i] === 0 && pair.sign !== 0
      ? [{ check: pair.check.id, surface: pair.surface.id, sentence: silence(pair) }]
      : [],
  );
}

function silence({ check, surface }: Expectation): string {
  const start = `${surface.label} did not move when you ${check.done}.`;
  if (check.kind === 'stick')
    return `${start} Check its plug, the radio link and the servo’s power.`;
  if (check.way === 'held' && (check.mode === 'level' || check.mode === 'home'))
    return `${start} A surface that only twitches and comes back is rate damping, not self-levelling: the mode switch is not where you think, or that position gives another mode.`;
  return start;
}
