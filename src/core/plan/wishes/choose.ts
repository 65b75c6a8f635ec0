import { difference } from '../../patch';
import {
  functionOf,
  parseSetup,
  WISHES,
  type ChannelFunction,
  type Problem,
  type ProgramWishes,
  type Setup,
  type WishId,
} from '../../setup';
import { applyPlan, planFor } from '../replan';
import { differs, unsentWords, type Difference } from './differs';
import { channelOf } from './draft';
import { keptAsOwn, putAside, type Hanging, type Known } from './hanging';
import { rewrite, rewriteAll, type Rewritten } from './write';

/** One choice: what it shall be from now on; undefined takes it out. */
export type Choice = {
  [W in keyof ProgramWishes]-?: { wish: W; value: ProgramWishes[W] };
}[keyof ProgramWishes];

/** A Setup with its choices written. */
export interface Written {
  ok: true;
  setup: Setup;
  notes: string[];
}

/** What a choice makes of it, and what it leaves as it was. */
export interface Chosen extends Written {
  /** Wishes that were written for what has changed now, and would be written otherwise. */
  along: WishId[];
  /** Entries of the person's that stand where the choice would have written. */
  kept: string[];
}

export interface Refused {
  ok: false;
  reasons: string[];
  paths: string[];
  /** What the choice writes no more and the person's own entries read: they must say what becomes of it. */
  hanging?: Hanging;
}

/** What becomes of entries the person's own read: kept as their own, or the lines that read them switched off. */
export type ForHanging = 'keep' | 'aside';

/**
 * Takes one choice: its own entries are written again, and nothing else is touched. Which other choices
 * would now be written differently is reported, and they are written too where they are named in `also`.
 * @param forHanging said where the person's own entries read what the choice writes no more
 */
export function choose(
  before: Setup,
  choice: Choice,
  also: readonly WishId[] | 'all' = [],
  forHanging?: ForHanging,
): Chosen | Refused {
  const { [choice.wish]: _, ...others } = before.intents.program;
  const program = {
    ...others,
    ...(choice.value === undefined ? {} : { [choice.wish]: choice.value }),
  };
  const checked = parseSetup({ ...before, intents: { ...before.intents, program } });
  if (!checked.ok) return refused(checked.problems);
  const planned = withChannels(checked.value);
  if (!planned.ok) return { ok: false, reasons: planned.reasons, paths: [] };
  const own = withoutOthers(rewrite(planned.setup, choice.wish), choice.wish);
  if (own.reasons.length > 0) return { ok: false, reasons: own.reasons, paths: [] };
  if (own.hanging.readers.length > 0 && forHanging === undefined) return hangs(own.hanging);

  let setup = own.setup;
  if (forHanging === 'keep') setup = { ...setup, program: keptAsOwn(setup.program, own.hanging) };
  else if (forHanging === 'aside')
    setup = rewrite({ ...setup, program: putAside(setup.program, own.hanging) }, choice.wish).setup;
  const notes = [...own.notes];
  const along: WishId[] = [];
  const inStep = inStepOf(before);
  for (const wish of WISHES) {
    if (wish === choice.wish || !inStep.has(wish)) continue;
    const again = rewrite(setup, wish);
    if (again.reasons.length > 0 || same(again.setup, setup)) continue;
    along.push(wish);
    if (also !== 'all' && !also.includes(wish)) continue;
    setup = again.setup;
    notes.push(...again.notes);
  }
  const valid = parseSetup(setup);
  if (!valid.ok) return refused(valid.problems);
  const unsent = unsentOf(valid.value, choice.wish);
  if (unsent && !unsentOf(before, choice.wish))
    return { ok: false, reasons: [unsentWords(unsent)], paths: [] };
  return { ok: true, setup: valid.value, notes, along, kept: own.kept };
}

/** What a channel cannot send of a choice. */
function unsentOf(setup: Setup, wish: WishId): Difference | undefined {
  if (setup.transmitter.switchOnly.length === 0) return undefined;
  const found = differs(setup, wish);
  return found && 'unsent' in found && found.unsent.length > 0 ? found : undefined;
}

/** What other choices read of this one goes with it: they are written again first. */
function withoutOthers(own: Rewritten, wish: WishId): Rewritten {
  const { program } = own.setup;
  const owners = new Set(
    own.hanging.readers.flatMap(
      (r) => program[r.list].find((e) => 'id' in e && e.id === r.id)?.owner ?? [],
    ),
  );
  let next = own;
  for (const owner of owners) {
    const setup = rewrite(next.setup, owner).setup;
    next = { ...rewrite(setup, wish), reasons: own.reasons, notes: own.notes, kept: own.kept };
  }
  return next;
}

function hangs(hanging: Hanging): Refused {
  const list = (of: readonly Known[]) => of.map((k) => `“${k.label}”`).join(', ');
  const own = hanging.readers.length === 1 ? 'An entry of yours' : 'Entries of yours';
  return {
    ok: false,
    reasons: [
      `${own}, ${list(hanging.readers)}, ${hanging.readers.length === 1 ? 'reads' : 'read'} what this choice wrote: ${list(hanging.named)}.`,
    ],
    paths: [],
    hanging,
  };
}

/**
 * A whole set of choices at once, each written again, over what was changed by hand in its place.
 * What the person entered beside it stays.
 */
export function writeWishes(before: Setup, wishes: ProgramWishes): Written | Refused {
  const checked = parseSetup({ ...before, intents: { ...before.intents, program: wishes } });
  if (!checked.ok) return refused(checked.problems);
  const planned = withChannels(checked.value);
  if (!planned.ok) return { ok: false, reasons: planned.reasons, paths: [] };
  const { setup, reasons, notes } = rewriteAll(planned.setup, true);
  if (reasons.length > 0) return { ok: false, reasons, paths: [] };
  const valid = parseSetup(setup);
  return valid.ok ? { ok: true, setup: valid.value, notes } : refused(valid.problems);
}

const refused = (problems: readonly Problem[]): Refused => ({
  ok: false,
  reasons: problems.map((p) => p.reason),
  paths: problems.map((p) => p.path),
});

const same = (a: Setup, b: Setup): boolean => difference(a, b).length === 0;

/** Wishes whose entries are what would be written for them now. */
function inStepOf(setup: Setup): ReadonlySet<WishId> {
  return new Set(WISHES.filter((wish) => same(rewrite(setup, wish).setup, setup)));
}

/**
 * Wishes whose entries were worked out for something that has changed since: written again, they would
 * be others.
 */
export const outOfStep = (setup: Setup): WishId[] =>
  WISHES.filter((wish) => {
    const again = rewrite(setup, wish);
    return again.reasons.length === 0 && again.kept.length === 0 && !same(again.setup, setup);
  });

/** Orders to the unit that the choices need a channel for. */
function channelsWished({ panic, gain }: ProgramWishes): ChannelFunction[] {
  return [
    ...(panic?.way === 'channel' ? (['recovery'] as const) : []),
    ...(gain?.by === 'axes'
      ? (['roll', 'pitch', 'yaw'] as const).filter((a) => gain[a]).map((a) => `gain-${a}` as const)
      : []),
  ];
}

/**
 * Channels the choices need are planned in, channels they no longer need are given back. Whatever has
 * a channel keeps it, as long as there is room.
 */
function withChannels(setup: Setup): { ok: true; setup: Setup } | { ok: false; reasons: string[] } {
  const needed = channelsWished(setup.intents.program);
  const wishable = (f: ChannelFunction) => f === 'recovery' || functionOf(f).tunes !== undefined;
  const { outputs } = setup.program;
  if (
    needed.every((f) => channelOf(setup, f) !== undefined) &&
    outputs.every((o) => !wishable(o.carries) || needed.includes(o.carries))
  )
    return { ok: true, setup };
  const wishes = [...setup.intents.wishes.filter((w) => !wishable(w)), ...needed];
  const { pins } = setup.intents;
  const where = outputs
    .filter((o) => !wishable(o.carries) || needed.includes(o.carries))
    .map(({ carries, channel }) => ({ carries, channel }));
  const inPlace = planFor(setup, wishes, where);
  const plan = inPlace.impossible.length > 0 ? planFor(setup, wishes, pins) : inPlace;
  if (plan.impossible.length > 0) return { ok: false, reasons: plan.impossible };
  return { ok: true, setup: applyPlan(setup, plan, wishes, pins) };
}
