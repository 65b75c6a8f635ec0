import type { Movement } from '../chain';
import type { Observation } from '../directions';
import type { Setup } from '../setup';
import { hashOf, partsOf, type Subject } from './parts';

/**
 * What was seen: where a surface went, whether a test showed what it must, a value off the channel
 * monitor. 'unseen' takes an earlier answer back.
 */
export type Seen = Movement | 'unseen' | 'pass' | 'fail' | `${number}%`;

const MOVEMENTS: readonly string[] = ['up', 'down', 'left', 'right', 'centre'];
const isMovement = (seen: Seen): seen is Movement => MOVEMENTS.includes(seen);

/** Something a person saw, stamped with what it depends on. */
export interface Evidence extends Subject {
  seen: Seen;
  /** Hash of each part of the Setup it depends on, by part key. */
  parts: Record<string, string>;
  /** Version of the Setup it was seen on. */
  version: number;
  /** ISO 8601, UTC. */
  at: string;
}

/** Stamps an observation made on this Setup. */
export function stamp(setup: Setup, subject: Subject): Record<string, string> {
  return Object.fromEntries(partsOf(setup, subject).map((p) => [p.key, hashOf(p.value)]));
}

/** Why evidence no longer holds for a Setup: the titles of the parts that changed; none = fresh. */
export function staleReasons(setup: Setup, evidence: Evidence): string[] {
  const now = partsOf(setup, evidence);
  const reasons = now
    .filter((part) => evidence.parts[part.key] !== hashOf(part.value))
    .map((part) => part.title);
  const gone = Object.keys(evidence.parts).filter((key) => !now.some((p) => p.key === key));
  return gone.length > 0 && reasons.length === 0 ? ['the path to this surface'] : reasons;
}

/** The newest observation of each subject. Evidence is given oldest first. */
export function latestOf(evidence: readonly Evidence[]): Evidence[] {
  const latest = new Map<string, Evidence>();
  for (const e of evidence) latest.set(`${e.check} ${e.surface}`, e);
  return [...latest.values()];
}

/** Observations that still hold for the Setup at hand: what a diagnosis may be built on. */
export function freshObservations(setup: Setup, evidence: readonly Evidence[]): Observation[] {
  return evidence.flatMap((e) =>
    !isMovement(e.seen) || staleReasons(setup, e).length > 0
      ? []
      : [{ check: e.check, surface: e.surface, seen: e.seen }],
  );
}
