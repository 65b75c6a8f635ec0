import type { ReactNode } from 'react';
import type { ProgramWishes, Setup, WishId } from '@/core/setup';

/** What a sentence reads, and how it changes its wish. */
export interface Sentenced {
  setup: Setup;
  wishes: ProgramWishes;
  wish: (next: ProgramWishes, label: string) => void;
}

/** Choices with one sentence: all but the sticks, and those with one for each mix or device. */
export type SentenceId = Exclude<WishId, 'sticks' | 'mixes' | 'devices'>;

/** One thing that can be chosen, as a sentence; what it speaks of is shown on the rig. */
export interface Sentence {
  /** What it is called, where that is not the title of its choice. */
  title?: string;
  /** Whether the model has anything of the kind. */
  applies: (setup: Setup) => boolean;
  /** Whether it is said, or only offered. */
  wished: (wishes: ProgramWishes) => boolean;
  /** Offered in this word, where it may be left out. */
  offer?: { words: string; first: (setup: Setup, wishes: ProgramWishes) => ProgramWishes };
  /** Taken out again. */
  drop?: (wishes: ProgramWishes) => ProgramWishes;
  controls: (wishes: ProgramWishes) => readonly (string | undefined)[];
  Says: (props: Sentenced) => ReactNode;
  /** When practitioners choose what, for the sentence in hand. */
  when?: (wishes: ProgramWishes) => string | undefined;
}
