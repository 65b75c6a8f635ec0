import type { Data } from '../../script';
import type { Setup } from '../../setup';
import type { About, Seen } from '../subject';
import type { Dependency } from './part';

/** One kind of evidence: what it asks, which answers it takes, and what an answer depends on. */
export interface EvidenceKind<K extends About['kind']> {
  /**
   * What the chain says is to be done and seen, as data: when it is something else, the evidence no
   * longer speaks of this model. No words and no names are in it.
   * @returns undefined where the Setup does not ask for it
   */
  asked(setup: Setup, about: Of<K>): Data | undefined;
  /** Whether the Setup takes an answer about this. */
  isKnown(setup: Setup, about: Of<K>): boolean;
  /** Whether this is an answer of the kind. */
  takes(seen: Seen): boolean;
  /** What an answer depends on, piece by piece. */
  parts(setup: Setup, about: Of<K>): Dependency[];
  /** Evidence of one name here depends on the same parts. */
  sharing(about: Of<K>): string;
}

type Of<K extends About['kind']> = Extract<About, { kind: K }>;
