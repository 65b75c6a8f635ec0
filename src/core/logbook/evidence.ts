import type { Movement } from '../chain';
import type { Observation } from '../directions';
import type { Setup } from '../setup';
import { ASKED, hashedParts, type Subject } from './parts';

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
  /** What it stands on: it was seen, unless one tap said so of a whole list. */
  ground?: 'said';
  /** ISO 8601, UTC. */
  at: string;
}

/** Stamps an observation made on this Setup. */
export function stamp(setup: Setup, subject: Subject): Record<string, string> {
  return Object.fromEntries(hashedParts(setup, subject).map((p) => [p.key, p.hash]));
}

/** Why evidence no longer holds for a Setup: the titles of the parts that changed; none = fresh. */
export function staleReasons(setup: Setup, evidence: Evidence): string[] {
  const now = hashedParts(setup, evidence);
  const changed = now.filter((part) => evidence.parts[part.key] !== part.hash);
  // That something else is to be seen goes without saying where the cause of it is named.
  const causes = changed.filter((part) => part.key !== ASKED);
  const reasons = (causes.length > 0 ? causes : changed).map((part) => part.title);
  const gone = Object.keys(evidence.parts).filter((key) => !now.some((p) => p.key === key));
  return gone.length > 0 && reasons.length === 0 ? ['the path to this surface'] : reasons;
}

const nameOf = ({ check, surface }: Subject) => `${check} ${surface}`;

const latestByName = (evidence: readonly Evidence[]) =>
  new Map(evidence.map((e) => [nameOf(e), e]));

/** The newest observation of each subject. Evidence is given oldest first. */
export const latestOf = (evidence: readonly Evidence[]): Evidence[] => [
  ...latestByName(evidence).values(),
];

/** Looks up the newest observation of a subject; undefined where it was never seen, or taken back. */
export function finderOf(
  evidence: readonly Evidence[],
): (subject: Subject) => Evidence | undefined {
  const latest = latestByName(evidence);
  return (subject) => {
    const found = latest.get(nameOf(subject));
    return found?.seen === 'unseen' ? undefined : found;
  };
}

/** Observations that still hold for the Setup at hand: what a diagnosis may be built on. */
export function freshObservations(setup: Setup, evidence: readonly Evidence[]): Observation[] {
  return evidence.flatMap((e) =>
    !isMovement(e.seen) || staleReasons(setup, e).length > 0
      ? []
      : [{ check: e.check, surface: e.surface, seen: e.seen }],
  );
}
