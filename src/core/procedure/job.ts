import {
  EVENTS,
  aboutOf,
  eventPatch,
  isDone,
  latestOf,
  staleReasons,
  worstOf,
  type About,
  type Evidence,
  type Status,
  type Subject,
} from '../logbook';
import { applyPatch } from '../patch';
import type { Setup } from '../setup';
import type { Finding } from '../verify';
import { isThrow } from '../preparation';
import { byRules } from './proofs';
import { saidOf, type ProofContext, type Proof, type Step, type StepId } from './step';
import { STEPS } from './steps';

/** A step of this job, where it stands, and what it waits for. */
export interface JobStep {
  step: Step;
  status: Status;
  proofs: Proof[];
  /** Proofs that still hold, of all there are. */
  done: number;
  /** Why it went stale, each reason once. */
  reasons: string[];
  /** Steps that must be proven first and are not. */
  waitsFor: Step[];
}

/** Every step that applies to a model, in its words. */
export const stepsOf = (setup: Setup): Step[] =>
  STEPS.filter((s) => s.applies(setup)).map((s) => saidOf(s, setup));

/** Every step that applies, with its status worked out from the Setup and what was seen. */
export function jobOf(bench: ProofContext): JobStep[] {
  const applying = stepsOf(bench.setup);
  const ownerOf = (rule: Finding['rule']) =>
    applying.find((s) => s.rules?.some((r) => r === rule))?.id ?? 'program';
  const found = applying.map((step) => {
    const findings = bench.findings?.filter((f) => ownerOf(f.rule) === step.id);
    const proofs = [
      ...step.proofs({ ...bench, findings }),
      ...(step.rules && findings ? byRules(findings) : []),
    ];
    return {
      step,
      proofs,
      status: worstOf(proofs.map((p) => p.status)),
      done: proofs.filter((p) => isDone(p.status)).length,
      reasons: [...new Set(proofs.flatMap((p) => p.reasons))],
    };
  });
  const open = new Set(found.filter((f) => !isDone(f.status)).map((f) => f.step.id));
  return found.map((f) => {
    const before = new Set(f.step.after(bench.setup));
    return { ...f, waitsFor: applying.filter((s) => before.has(s.id) && open.has(s.id)) };
  });
}

/**
 * Whether nothing stands between the model and its next flight or run. What is done out there may
 * still be open, but nothing of it may have gone wrong.
 */
export const isReady = (job: readonly JobStep[]): boolean =>
  job.every(({ status, step }) => isDone(status) || (step.afterReady && status !== 'stop'));

/** Steps that hold by what somebody said of a whole list, which nobody has looked at one by one. */
export const restsOnWord = (job: readonly JobStep[]): JobStep[] =>
  job.filter((j) => j.status === 'said');

/** The step that stops the work: found wrong, the earliest of those that wait for nothing else. */
export const stoppedAt = (job: readonly JobStep[]): JobStep | undefined =>
  job.find((j) => j.status === 'stop' && j.waitsFor.length === 0) ??
  job.find((j) => j.status === 'stop');

/** What a change killed at one step: observations that held before it and do not after it. Plain data. */
export interface Killed extends Pick<Step, 'id' | 'title' | 'station'> {
  count: number;
  reasons: string[];
}

/** The step a piece of evidence belongs to. */
export function stepOf(subject: Subject): Step | undefined {
  const about = aboutOf(subject);
  const id = about && stepIdOf(about);
  return STEPS.find((s) => s.id === id);
}

function stepIdOf(about: About): StepId {
  switch (about.kind) {
    case 'direction':
      return about.moved === 'stick' ? 'sticks' : 'corrections';
    case 'reading':
      return 'entry';
    case 'test':
      return about.test === 'plain-model' && isThrow(about) ? 'throws' : about.test;
  }
}

/** What was seen and still holds. */
const holding = (setup: Setup, evidence: readonly Evidence[]): Evidence[] =>
  latestOf(evidence).filter((e) => e.seen !== 'unseen' && staleReasons(setup, e).length === 0);

/** What a change killed, step by step, with the reasons. */
export const killedBy = (before: Setup, after: Setup, evidence: readonly Evidence[]): Killed[] =>
  killedOf(holding(before, evidence), after);

/** For everything that can happen to a model, by its id: what would have to be checked again. */
export function undoneByEvents(
  setup: Setup,
  evidence: readonly Evidence[],
): Record<string, string[]> {
  const held = holding(setup, evidence);
  return Object.fromEntries(
    EVENTS.map(({ id }) => [
      id,
      killedOf(held, applyPatch(setup, eventPatch(setup, id))).map((k) => k.title),
    ]),
  );
}

function killedOf(held: readonly Evidence[], after: Setup): Killed[] {
  const killed = new Map<StepId, Pick<Killed, 'count' | 'reasons'>>();
  for (const seen of held) {
    const reasons = staleReasons(after, seen);
    const step = stepOf(seen);
    if (reasons.length === 0 || !step) continue;
    const known = killed.get(step.id) ?? { count: 0, reasons: [] };
    killed.set(step.id, {
      count: known.count + 1,
      reasons: [...new Set([...known.reasons, ...reasons])],
    });
  }
  return STEPS.flatMap((step) => {
    const own = killed.get(step.id);
    const { id, title, station } = saidOf(step, after);
    return own ? [{ id, title, station, ...own }] : [];
  });
}
