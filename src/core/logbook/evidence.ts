import type { Movement } from '../chain';
import type { Observation } from '../directions';
import type { Setup } from '../setup';
import { kindOfEvidence } from './kinds';
import { ASKED, hashedParts } from './parts';
import { aboutOf, type Seen, type Subject } from './subject';

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

/** The key that stood for what was asked while that was hashed as its sentence. */
const ASKED_IN_WORDS = 'asked';

/**
 * Stamps made while what was asked was hashed as its sentence, with what was asked as data in its
 * place. @param setup the version it was seen on
 */
export function restamped(
  setup: Setup,
  subject: Subject,
  { [ASKED_IN_WORDS]: _, ...stamps }: Readonly<Record<string, string>>,
): Record<string, string> {
  const asked = hashedParts(setup, subject).find((p) => p.key === ASKED);
  const all = Object.entries({ ...stamps, ...(asked ? { [ASKED]: asked.hash } : {}) });
  return Object.fromEntries(all.toSorted(([a], [b]) => (a < b ? -1 : 1)));
}

/** Why evidence no longer holds for a Setup: the titles of the parts that changed; none = fresh. */
export function staleReasons(setup: Setup, evidence: Evidence): string[] {
  const now = hashedParts(setup, evidence);
  const changed = now.filter((part) => evidence.parts[part.key] !== part.hash);
  // That something else is to be seen goes without saying where the cause of it is named.
  const causes = changed.filter((part) => part.key !== ASKED);
  const reasons = (causes.length > 0 ? causes : changed).map((part) => part.title);
  // A surface that another path leads to was not seen move by it; a step that depends on less than it did still holds.
  const gone =
    aboutOf(evidence)?.kind === 'direction'
      ? Object.keys(evidence.parts).filter((key) => !now.some((p) => p.key === key))
      : [];
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

/** Whether a Setup takes this answer about this. */
export function isAskedFor(setup: Setup, { check, surface, seen }: Subject & { seen: Seen }) {
  const about = aboutOf({ check, surface });
  if (!about) return false;
  const kind = kindOfEvidence(about);
  return (seen === 'unseen' || kind.takes(seen)) && kind.isKnown(setup, about);
}

/** Observations that still hold for the Setup at hand: what a diagnosis may be built on. */
export function freshObservations(setup: Setup, evidence: readonly Evidence[]): Observation[] {
  return evidence.flatMap((e) => {
    const about = aboutOf(e);
    if (about?.kind !== 'direction' || e.seen === 'unseen') return [];
    if (staleReasons(setup, e).length > 0) return [];
    return [{ check: e.check, surface: e.surface, seen: e.seen as Movement }];
  });
}
