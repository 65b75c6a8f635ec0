import { allExpectations, crossExpectations, type Check, type Expectation } from '../directions';
import type { Setup } from '../setup';
import { readBacksOf, type ReadBack } from '../sheets';
import type { ScriptStep, TestName } from '../script';
import { scriptFor } from './kinds/test/tests';
import { finderOf, staleReasons, type Evidence } from './evidence';
import { directionSubject, readingSubject, testSubject, type Subject } from './subject';

/**
 * The states everything in the app is in. Only what was seen, or follows from it, is proven; what one tap
 * said of a list is said, and what nobody has looked at is assumed.
 */
export type Status = 'proven' | 'said' | 'assumed' | 'todo' | 'stale' | 'caution' | 'stop';

/** Whether nothing more is asked: seen, or said where that is enough. */
export const isDone = (status: Status | undefined): boolean =>
  status === 'proven' || status === 'said';

export interface Observed {
  expectation: Expectation;
  evidence: Evidence | undefined;
  status: Status;
  /** Why it went stale. */
  reasons: string[];
}

/** Each expected movement with what was seen of it and whether that still holds. */
export const observedDirections = (setup: Setup, evidence: readonly Evidence[]): Observed[] =>
  observedAs(setup, evidence, allExpectations(setup));

/** The same of surfaces that must stay still: only asked about where something else did not move. */
export const observedElsewhere = (setup: Setup, evidence: readonly Evidence[]): Observed[] =>
  observedAs(setup, evidence, crossExpectations(setup));

/** Still to be checked, or to be checked again. */
export const isOpen = ({ status }: { status: Status }): boolean =>
  status === 'todo' || status === 'stale';

/** One look while a stick is held: does anything else move? All surfaces that must stay still in it. */
export interface StillLook {
  check: Check;
  members: Observed[];
  status: Status;
  reasons: string[];
}

/** Each stick with the surfaces that must not follow it; a stick that moves all of them has none. */
export function observedStill(setup: Setup, evidence: readonly Evidence[]): StillLook[] {
  const sticks = observedElsewhere(setup, evidence).filter(
    (o) => o.expectation.check.kind === 'stick',
  );
  return [...new Set(sticks.map((o) => o.expectation.check.id))].map((id) => {
    const members = sticks.filter((o) => o.expectation.check.id === id);
    return {
      check: members[0]!.expectation.check,
      members,
      status: worstOf(members.map((o) => o.status)),
      reasons: [...new Set(members.flatMap((o) => o.reasons))],
    };
  });
}

function observedAs(
  setup: Setup,
  evidence: readonly Evidence[],
  expectations: readonly Expectation[],
): Observed[] {
  const check = checker(setup, evidence);
  return expectations.map((expectation) => {
    const subject = directionSubject(expectation);
    const { asked, ...found } = check(expectation, subject, (s) => s === expectation.movement);
    return { expectation: asked, ...found };
  });
}

/** The worst of several states: what must be dealt with first. */
export function worstOf(states: readonly Status[]): Status {
  const order: Status[] = ['stop', 'stale', 'caution', 'todo', 'assumed', 'said'];
  return order.find((s) => states.includes(s)) ?? 'proven';
}

/** A reading or a test with what was found and whether that still holds. */
export interface Checked<T> {
  asked: T;
  evidence: Evidence | undefined;
  status: Status;
  reasons: string[];
}

/** Says of anything that is asked what was seen of it and whether that still holds. */
function checker(setup: Setup, evidence: readonly Evidence[]) {
  const find = finderOf(evidence);
  return <T>(asked: T, subject: Subject, isRight: (seen: string) => boolean): Checked<T> => {
    const found = find(subject);
    if (!found) return { asked, evidence: undefined, status: 'todo', reasons: [] };
    const reasons = staleReasons(setup, found);
    const status: Status =
      reasons.length > 0 ? 'stale' : isRight(found.seen) ? (found.ground ?? 'proven') : 'stop';
    return { asked, evidence: found, status, reasons };
  };
}

/** Every value to read back, with what was read. */
export function readings(setup: Setup, evidence: readonly Evidence[]): Checked<ReadBack>[] {
  const check = checker(setup, evidence);
  return readBacksOf(setup).map((r) =>
    check(
      r,
      readingSubject(r),
      (seen) => Math.abs(parseFloat(seen) - r.predictedPct) <= r.tolerancePct,
    ),
  );
}

/** Every step of a test with the model in hand, with how it went. */
export function checklist(
  setup: Setup,
  evidence: readonly Evidence[],
  test: TestName,
): Checked<ScriptStep>[] {
  const check = checker(setup, evidence);
  return scriptFor(setup, test).map((step) =>
    check(step, testSubject(step), (seen) => seen === 'pass'),
  );
}
