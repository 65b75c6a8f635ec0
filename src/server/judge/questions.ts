import '../../core/verify/prover';
import { diagnose } from '../../core/directions';
import {
  freshObservations,
  isAskedFor,
  isDone,
  latestOf,
  staleReasons,
  stamp,
  testSubject,
  type Evidence,
  type Seen,
  type Status,
  type Subject,
} from '../../core/logbook';
import { preflightCard } from '../../core/preflight';
import {
  isReady,
  jobOf,
  nextStep,
  shortestWay,
  stoppedAt,
  type JobStep,
  type Session,
  type StepId,
} from '../../core/procedure';
import type { ScriptStep } from '../../core/script';
import type { Airframe, EntryStyle, Setup } from '../../core/setup';
import { sheetFor, type Sheet } from '../../core/sheets';
import { PROVER, type Verdict } from '../../core/verdict';
import { findingsOf } from '../../core/verify';

/*
 * What the server asks of the chain. Each may need a whole proof, so none is worked out where
 * requests are answered: see `ask`.
 */

/** A question has a Setup first: what was worked out of it serves the next question too. */
type Question = (setup: Setup, ...more: never[]) => unknown;

export interface NewObservation extends Subject {
  seen: Seen;
  /** One tap said so of a whole list. */
  ground?: 'said' | undefined;
}

/** A kept observation without when and on which version. */
export interface Stamped extends Subject {
  seen: Seen;
  ground?: 'said';
  parts: Record<string, string>;
}

const stamped = (setup: Setup, { check, surface, seen, ground }: NewObservation): Stamped => ({
  check,
  surface,
  seen,
  ...(ground ? { ground } : {}),
  parts: stamp(setup, { check, surface }),
});

export const QUESTIONS = {
  ...PROVER,

  verdict: (setup: Setup): Verdict => PROVER.verdict(setup, () => undefined),

  /** An observation with what it depends on; undefined where the model has no such check. */
  observation: (setup: Setup, asked: NewObservation): Stamped | undefined =>
    isAskedFor(setup, asked) ? stamped(setup, asked) : undefined,

  stamps: (setup: Setup, seen: readonly NewObservation[]): Stamped[] =>
    seen.map((s) => stamped(setup, s)),

  /** What of a Setup changed since these were seen: titles of the parts, none where all still hold. */
  changedSince: (setup: Setup, seen: readonly Stamped[]): string[] => [
    ...new Set(seen.flatMap((s) => staleReasons(setup, { ...s, version: 1, at: '' }))),
  ],

  /** The card, and each answer given stamped. */
  preflight: (
    setup: Setup,
    answers: Readonly<Record<string, 'pass' | 'fail'>>,
  ): { card: ScriptStep[]; seen: Stamped[] } => {
    const card = preflightCard(setup);
    return {
      card,
      seen: card.flatMap((step) => {
        const seen = answers[step.item];
        return seen ? [stamped(setup, { ...testSubject(step), seen })] : [];
      }),
    };
  },

  /** What the diagnosis offers, as Setups to save; undefined where it has no proven change. */
  remedy: (setup: Setup, evidence: readonly Evidence[]): OfferedRemedy | undefined => {
    const fresh = freshObservations(setup, latestOf(evidence));
    const { learned, changes, proved, contradiction, learnedSetup, correctedSetup } = diagnose(
      setup,
      fresh,
    );
    if (learned.length + changes.length === 0 || !proved || contradiction) return undefined;
    return {
      ...(learned.length > 0
        ? {
            learned: {
              label: `Learned: ${learned.map((c) => c.title).join('; ')}`,
              setup: learnedSetup,
              seen: fresh.map((s) => stamped(learnedSetup, s)),
            },
          }
        : {}),
      ...(changes.length > 0
        ? { changed: { label: changes.map((c) => c.title).join('; '), setup: correctedSetup } }
        : {}),
    };
  },

  shelfLine: (setup: Setup, evidence: readonly Evidence[]): ShelfLine => {
    const job = jobOf({ setup, evidence, findings: findingsOf(setup) });
    const next = stoppedAt(job) ?? nextStep(job);
    return {
      airframe: setup.airframe,
      status: isReady(job) ? 'proven' : next!.status,
      words: isReady(job) ? readyWords(next) : standsBetween(job, next!),
      done: job.filter((j) => isDone(j.status)).length,
      total: job.length,
    };
  },

  sheet: (setup: Setup, style: EntryStyle | undefined): Sheet => sheetFor(setup, style),

  card: (setup: Setup): ScriptStep[] => preflightCard(setup),

  /** What is still to be done, in the shortest order. */
  way: (setup: Setup, evidence: readonly Evidence[]): WayPart[] =>
    shortestWay(jobOf({ setup, evidence, findings: findingsOf(setup) })).map(
      ({ session, steps }) => ({
        session,
        steps: steps.map(({ step, reasons, proofs }) => ({
          id: step.id,
          title: step.title,
          does: step.does,
          reasons,
          // The card has its own paper.
          open:
            step.id === 'preflight'
              ? ['the card']
              : proofs.filter((p) => !isDone(p.status)).map((p) => p.what),
        })),
      }),
    ),
} satisfies Record<string, Question>;

export type QuestionName = keyof typeof QUESTIONS;

export interface OfferedRemedy {
  learned?: { label: string; setup: Setup; seen: Stamped[] };
  changed?: { label: string; setup: Setup };
}

/** Steps done in one session at the bench, and what of each is still open. */
export interface WayPart {
  session: Session;
  steps: { id: StepId; title: string; does: string; reasons: string[]; open: string[] }[];
}

/** What is worked out of a model for the shelf. */
export interface ShelfLine {
  airframe: Airframe;
  status: Status;
  /** What stands between it and its next flight or run, in one line. */
  words: string;
  done: number;
  total: number;
}

/** Ready all the same: what is left is done out there. */
const readyWords = (next: JobStep | undefined) =>
  next ? `ready; out there: ${next.step.title.toLowerCase()}` : 'ready';

function standsBetween(job: readonly JobStep[], { step, status, proofs }: JobStep): string {
  if (status === 'stop') return `${step.title}: ${proofs.find((p) => p.status === 'stop')!.what}`;
  const stale = job.filter((j) => j.status === 'stale');
  const [why] = stale.flatMap((j) => j.reasons);
  if (stale.length === 0) return `next: ${step.title.toLowerCase()}`;
  const what =
    stale.length > 3
      ? `${stale.length} of ${job.length} steps`
      : stale.map((j) => j.step.title).join(', ');
  return `${what} again: ${why} changed`;
}
