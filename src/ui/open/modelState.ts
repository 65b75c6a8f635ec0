import type { StoreApi } from 'zustand';
import type { Seen, Subject } from '@/core/logbook';
import type { PatchOperation } from '@/core/patch';
import type { BenchSaid } from '@/core/procedure';
import type { Problem, Setup } from '@/core/setup';
import type { ModelView } from '@/server/models';

/* What a tab knows of the model it has open: what is shown, what is on its way, what was not taken. */

/** An edit on its way to being a version. */
export interface Edit {
  setup: Setup;
  label: string;
}

/** A change that can be taken back: what turns the Setup after it into the one before. */
export interface Undo {
  patch: PatchOperation[];
  label: string;
}

/** Something seen, by its name. */
export interface Said {
  check: string;
  surface: string;
  seen: Seen;
  /** One tap said so of a whole list. */
  ground?: 'said';
  /** In words, for telling which one it is. */
  words: string;
}

/** Something seen that the server has not taken. */
export interface PendingAnswer extends Said {
  /** When it was given, and what had been said of the bench then. */
  at: string;
  bench: BenchSaid | undefined;
  /** What it depends on, stamped on the Setup it was given on; absent in what a page kept before stamps were. */
  parts?: Record<string, string>;
  /** Version it was given on; not known before a save on its way is through. */
  version: number | undefined;
  state: 'sending' | 'failed' | 'refused';
  reason?: string;
  /** What it depends on and was changed elsewhere since. */
  changed?: string[];
}

export interface Conflict extends Edit {
  head: number;
  /** What was saved elsewhere; not known before it was fetched. */
  theirs: ModelView | undefined;
  /** Both changed the same place. */
  clash: boolean;
}

export type PreflightCheck = {
  place: string;
  wind: string;
  battery: string;
  answers: Record<string, 'pass' | 'fail'>;
  uid: string;
  /** Version it was begun on. */
  version: number;
};

/** An edit the server has not taken, why, and whether it is tried again by itself. */
export type Refused = Edit & { reason: string; again: boolean };

/** What the server has not taken, waiting or being tried again. */
export const notTaken = (s: Pick<ModelState, 'unsaved' | 'retried'>): Refused | undefined =>
  s.unsaved ?? s.retried;

export interface ModelState extends ModelView {
  /** Saves on their way. */
  saving: number;
  /** An edit the server has not taken: kept here until it is. */
  unsaved: Refused | undefined;
  /** The same while it is tried again: it is no more saved than before. */
  retried: Refused | undefined;
  /** Somebody saved in between: what goes on is the person's choice. */
  conflict: Conflict | undefined;
  /** Answers the server has not taken yet, or would not. */
  answers: readonly PendingAnswer[];
  /** The server could not be asked whether this is the newest. */
  maybeOutdated: boolean;
  past: readonly Undo[];
  /** The Setup before the last change in this tab, and what the change was. */
  changed: { before: Setup; label: string } | undefined;
  /** What could not be done, for the person to read; the newest last. */
  notice: { words: string; at: number } | undefined;
  /** Changes the Setup and saves it. @returns problems that kept it from being tried */
  edit(patch: readonly PatchOperation[], label: string): Problem[];
  undo(): void;
  /** Tries again whatever the server has not taken. */
  retry(): void;
  /** Puts what this tab changed, and nothing else, on top of what was saved elsewhere. */
  keepMine(): Promise<void>;
  takeTheirs(): Promise<void>;
  observe(subject: Subject, seen: Seen, words?: string): Promise<void>;
  /** Everything one look gave, sent together. */
  observeAll(seen: readonly Omit<Said, 'words'>[], words: string): Promise<void>;
  /** Keeps a refused answer as what was seen on its version. */
  keepAnswer(answer: PendingAnswer): void;
  dropAnswer(answer: PendingAnswer): void;
  applyRemedy(): Promise<boolean>;
  /** Something that happened to the model. */
  happened(event: string, title: string, note: string): Promise<boolean>;
  /** An earlier version on top again. */
  backTo(version: number): Promise<boolean>;
  /** The answers of a preflight check, with where and how. @returns what changed since, where that is why it is refused */
  preflight(check: PreflightCheck, anyway?: boolean): Promise<true | { changed: string[] } | false>;
  /** Asks the server for the newest, as when the page is checked again. */
  refresh(): Promise<void>;
  /** Takes in what a page brought along, where it is newer. */
  absorb(view: ModelView): void;
}

export type ModelStore = StoreApi<ModelState>;

/** What outlives a reload. */
export interface KeptState {
  /** What the edits stand on. */
  base: number;
  baseSetup?: Setup;
  unsaved?: Edit;
  answers: PendingAnswer[];
  past: Undo[];
}
