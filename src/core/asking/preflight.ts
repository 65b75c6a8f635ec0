import { preflightRounds, type PreflightItem, type Round } from '../preflight';
import type { Setup } from '../setup';

export type PreflightAnswers = Readonly<Record<string, 'pass' | 'fail'>>;

/** A check in progress; it survives a reload. */
export interface PreflightRun {
  /** Id of its logbook entry: sent twice, it is kept once. */
  uid: string;
  /** The version of the model it was begun on. */
  version: number;
  /** Index of the current round; the number of rounds when finished. */
  at: number;
  answers: PreflightAnswers;
  where: { place: string; wind: string; battery: string };
}

/** State of a check: not begun, in a round, or ended. */
export type PreflightAsked = { rounds: readonly Round[]; card: readonly PreflightItem[] } & (
  | { at: 'start' }
  | { at: 'round'; round: Round; number: number }
  | { at: 'end'; wrong: readonly PreflightItem[]; early: boolean }
);

export function preflightAsked(setup: Setup, run: PreflightRun | undefined): PreflightAsked {
  const rounds = preflightRounds(setup);
  const card = rounds.flatMap((r) => r.items);
  if (!run) return { rounds, card, at: 'start' };
  const round = rounds[run.at];
  if (round) return { rounds, card, at: 'round', round, number: run.at + 1 };
  return {
    rounds,
    card,
    at: 'end',
    wrong: card.filter((c) => run.answers[c.item] === 'fail'),
    early: card.some((c) => run.answers[c.item] === undefined),
  };
}

/** Answers every line of a round: all correct except these items. */
export const roundAnswered = (
  run: PreflightRun,
  { items }: Round,
  wrong: readonly string[],
): PreflightRun => ({
  ...run,
  at: run.at + 1,
  answers: {
    ...run.answers,
    ...Object.fromEntries(items.map((i) => [i.item, wrong.includes(i.item) ? 'fail' : 'pass'])),
  },
});

export const roundBefore = (run: PreflightRun): PreflightRun => ({
  ...run,
  at: Math.max(0, run.at - 1),
});

/** Stops early: unanswered lines count as not checked. */
export const brokenOff = (run: PreflightRun, { rounds }: PreflightAsked): PreflightRun => ({
  ...run,
  at: rounds.length,
});

/** Whether every line was checked and is correct. */
export const allRight = (asked: PreflightAsked): boolean =>
  asked.at === 'end' && asked.wrong.length === 0 && !asked.early;
