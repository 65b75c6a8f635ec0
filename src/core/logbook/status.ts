import { allExpectations, type Expectation } from '../directions';
import type { Setup } from '../setup';
import { latestOf, staleReasons, type Evidence } from './evidence';

/** The five states everything in the app is in. */
export type Status = 'proven' | 'todo' | 'stale' | 'caution' | 'stop';

export interface Observed {
  expectation: Expectation;
  evidence: Evidence | undefined;
  status: Status;
  /** Why it went stale. */
  reasons: string[];
}

/** Each expected movement with what was seen of it and whether that still holds. */
export function observedDirections(setup: Setup, evidence: readonly Evidence[]): Observed[] {
  const latest = latestOf(evidence);
  return allExpectations(setup).map((expectation) => {
    const found = latest.find(
      (e) => e.check === expectation.check.id && e.surface === expectation.surface.id,
    );
    if (!found || found.seen === 'unseen')
      return { expectation, evidence: undefined, status: 'todo', reasons: [] };
    const reasons = staleReasons(setup, found);
    const status: Status =
      reasons.length > 0 ? 'stale' : found.seen === expectation.movement ? 'proven' : 'stop';
    return { expectation, evidence: found, status, reasons };
  });
}

/** The worst of several states: what must be dealt with first. */
export function worstOf(states: readonly Status[]): Status {
  const order: Status[] = ['stop', 'stale', 'caution', 'todo'];
  return order.find((s) => states.includes(s)) ?? 'proven';
}
