'use client';

import { createContext, useContext } from 'react';
import { createStore, useStore } from 'zustand';
import { applyPatch, guardedDifference } from '@/core/patch';
import { type Evidence } from '@/core/logbook';
import type { Problem, Result, Setup } from '@/core/setup';
import type { ModelView } from '@/server/models';
import { answersOf } from './answers';
import { benchSaid } from './bench';
import { editsOf, standsIn } from './edits';
import { keep, readKept } from './keep';
import type { Reader } from './reader';
import { loadReader } from './reading';
import { madeByServer } from './madeByServer';
import type { Edit, PendingAnswer, ModelState, ModelStore, KeptState } from './modelState';
import { isTransient, reasonsOf, send, type Reply, type Send } from './send';

const MOST_UNDO = 50;

/** Everything that depends on the world outside, so that a test can be that world. */
export interface World {
  send: Send;
  /** Told when this tab saved something, so that others look. */
  saved(id: string): void;
  /** Reads every change before it is shown; at hand, or on its way. */
  reader: Reader | Promise<Reader>;
}

const NOT_YET: Problem = {
  path: '',
  reason: 'This page is still being loaded. Try again in a moment.',
};

/** The open model in this tab: what is shown at once, and what the server has confirmed. */
export function createModelStore(
  view: ModelView,
  { send: ask, saved, reader: coming }: World = {
    send,
    saved: () => undefined,
    reader: loadReader(),
  },
): ModelStore {
  const path = `/api/models/${view.id}`;
  const key = `model:${view.id}`;
  /** What the server has confirmed. */
  let confirmed: ModelView = view;
  /** Which version a Setup on the screen became. */
  const versionOf = new WeakMap<Setup, number>([[view.setup, view.version]]);
  let reader: Reader | undefined;
  const parse = (data: unknown): Result<Setup> =>
    reader?.parse(data) ?? { ok: false, problems: [NOT_YET] };
  /** What this tab had open before, until it has been read. */
  let left: Edit | undefined;
  /** Raised by everything the server says: a question asked before that is out of date. */
  let epoch = 0;

  const store = createStore<ModelState>((set, get) => {
    const say = (words: string) => set({ notice: { words, at: Date.now() } });

    const settled = () => {
      const { saving, unsaved, conflict } = get();
      return saving === 0 && !left && unsaved === undefined && conflict === undefined;
    };

    /** Evidence as it is shown: what the server has, and what is on its way there. */
    const shown = (answers: readonly PendingAnswer[] = get().answers): Evidence[] => {
      const sending = answers.filter((a) => a.state === 'sending');
      const is = (a: PendingAnswer) => (e: Evidence) =>
        e.check === a.check && e.surface === a.surface;
      return [
        ...confirmed.evidence.filter((e) => !sending.some((a) => is(a)(e))),
        ...sending.map((a): Evidence => ({
          check: a.check,
          surface: a.surface,
          seen: a.seen,
          parts: a.parts ?? {},
          version: 0,
          at: new Date().toISOString(),
          ...(a.ground ? { ground: a.ground } : {}),
        })),
      ];
    };

    const setAnswers = (answers: readonly PendingAnswer[]) => {
      set({ answers, evidence: shown(answers) });
      persist();
    };

    const persist = () => {
      const { unsaved, conflict, answers, past } = get();
      const open = unsaved ?? conflict ?? edits.newest() ?? left;
      const kept: KeptState = {
        base: confirmed.version,
        ...(open
          ? {
              baseSetup: confirmed.setup,
              unsaved: { setup: open.setup, label: open.label },
            }
          : {}),
        answers: [...answers],
        past: [...past],
      };
      const empty = !open && answers.length === 0 && past.length === 0;
      keep(key, empty ? undefined : kept);
    };

    /** The server's word. The Setup on the screen stays the same object where it says the same. */
    const confirm = (next: ModelView) => {
      epoch += 1;
      confirmed = next;
      const { setup } = get();
      const same = JSON.stringify(next.setup) === JSON.stringify(setup);
      versionOf.set(same ? setup : next.setup, next.version);
      const open = edits.underway() || get().unsaved !== undefined || get().conflict !== undefined;
      // A later edit may already be shown; the server's answer must not take it off the screen.
      set({
        version: next.version,
        ...(same || open ? {} : { setup: next.setup }),
        kept: next.kept,
        maybeOutdated: false,
      });
      set({ evidence: shown() });
      persist();
    };

    const edits = editsOf({
      get,
      set,
      ask: {
        put: (body) => ask<ModelView>('PUT', `${path}/setup`, body),
        get: () => ask<ModelView>('GET', path, undefined),
      },
      confirmed: () => confirmed,
      parse: (data) => parse(data),
      kept(edit, next) {
        versionOf.set(edit.setup, next.version);
        confirm(next);
        saved(view.id);
      },
      shown: () => set({ evidence: shown() }),
      persist: () => persist(),
      before: () => answers.sendKnown(),
    });
    const { pump, save, merged } = edits;

    /** A change made in this tab, which can be taken back here. */
    const remember = (before: Setup, after: Setup, label: string) =>
      set(({ past }) => ({
        past: [...past.slice(1 - MOST_UNDO), { patch: guardedDifference(after, before), label }],
        changed: { before, label },
      }));

    const answers = answersOf({
      get,
      put: setAnswers,
      ask: (body) => ask<ModelView>('POST', `${path}/observations`, body),
      versionOf,
      ready: async () => {
        await pump();
        return settled();
      },
      kept(next) {
        if (next.version >= confirmed.version) confirm(next);
        saved(view.id);
      },
      refused: () => get().refresh(),
      say,
      bench: () => benchSaid(view.id),
    });
    const sendAnswers = answers.send;

    const made = madeByServer({
      get,
      ask: (what, body) => ask<ModelView>('POST', `${path}/${what}`, body),
      pump,
      settled,
      allKept: answers.allKept,
      confirm,
      remember(before, label) {
        remember(before, get().setup, label);
        persist();
      },
      saved: () => saved(view.id),
      say,
      bench: () => benchSaid(view.id),
    });

    const theirsFetched = async (): Promise<ModelView | undefined> => {
      const known = get().conflict?.theirs;
      if (known) return known;
      const reply = await ask<ModelView>('GET', path, undefined);
      if (reply.ok) return reply.value;
      say(`What was saved elsewhere could not be fetched: ${reasonsOf(reply.problems)}`);
      return undefined;
    };

    return {
      ...view,
      saving: 0,
      unsaved: undefined,
      retried: undefined,
      conflict: undefined,
      answers: [],
      maybeOutdated: false,
      past: [],
      changed: undefined,
      notice: undefined,
      edit(patch, label) {
        const { setup } = get();
        const read = parse(applyPatch(setup, patch));
        if (!read.ok) return read.problems;
        // What was changed by hand is the person's, and no choice writes over it.
        const next = reader!.claimed(setup, read.value);
        if (guardedDifference(setup, next).length === 0) return [];
        remember(setup, next, label);
        void save(next, label);
        return [];
      },
      undo() {
        const { past, setup } = get();
        const last = past.at(-1);
        if (!last) return;
        if (!reader) return say(NOT_YET.reason);
        set({ past: past.slice(0, -1) });
        try {
          const next = parse(applyPatch(setup, last.patch));
          if (next.ok) {
            set({ changed: { before: setup, label: `Undone: ${last.label}` } });
            void save(next.value, `Undone: ${last.label}`.slice(0, 80));
            return;
          }
        } catch {
          // What it changed was changed again elsewhere: said below.
        }
        persist();
        say(
          `“${last.label}” cannot be taken back any more: what it changed was changed elsewhere since. The Logbook has every version.`,
        );
      },
      retry() {
        const { unsaved } = get();
        if (unsaved) {
          set({ unsaved: undefined, retried: unsaved });
          void save(unsaved.setup, unsaved.label).then(() => set({ retried: undefined }));
        }
        answers.again();
      },
      async keepMine() {
        const theirs = await theirsFetched();
        const { conflict } = get();
        if (!conflict || !theirs) return;
        const next =
          merged(theirs.setup, conflict.setup) ?? merged(theirs.setup, conflict.setup, true);
        if (!next) {
          say('The two cannot be put together: take the other, then make your change again.');
          return;
        }
        // Taken back it gives what the other had, and not what stood there before both.
        const back = { patch: guardedDifference(next, theirs.setup), label: conflict.label };
        set(({ past }) => ({ conflict: undefined, past: [...past.slice(0, -1), back] }));
        confirm(theirs);
        await save(next, conflict.label);
        void sendAnswers();
      },
      async takeTheirs() {
        const theirs = await theirsFetched();
        if (!theirs) return;
        set({ conflict: undefined, past: [] });
        confirm(theirs);
        void sendAnswers();
      },
      observe: ({ check, surface }, seen, words = 'Your answer') =>
        answers.give([{ check, surface, seen }], words),
      observeAll: answers.give,
      keepAnswer: answers.keepAnyway,
      dropAnswer: answers.drop,
      ...made,
      async refresh() {
        const asked = epoch;
        const reply: Reply<ModelView> = await ask<ModelView>('GET', path, undefined);
        if (asked !== epoch) return;
        if (reply.ok) get().absorb(reply.value);
        else if (isTransient(reply.status)) set({ maybeOutdated: true });
      },
      absorb(next) {
        // With something of one's own on its way, the save itself finds out.
        if (next.version < confirmed.version || edits.underway() || !settled()) return;
        confirm(next);
      },
    };
  });

  const kept = readKept<KeptState>(key);
  if (kept) {
    left = kept.unsaved;
    store.setState({
      past: kept.past,
      // Whether the server has them is not known: they are sent again when the page can read.
      answers: kept.answers.map((a) =>
        a.state === 'refused' ? a : { ...a, state: 'failed' as const, reason: undefined },
      ),
    });
  }
  if (coming instanceof Promise) void coming.then(begin, () => undefined);
  else begin(coming);
  return store;

  function begin(read: Reader): void {
    reader = read;
    if (!kept) return;
    restore(kept);
    if (!kept.unsaved) store.getState().retry();
  }

  /** What this tab had open when the page was left or loaded again. */
  function restore({ unsaved, base, baseSetup }: KeptState): void {
    left = undefined;
    const mine = unsaved ? parse(unsaved.setup) : undefined;
    if (!unsaved || !mine?.ok || !baseSetup) return;
    if (standsIn(view.setup, baseSetup, mine.value)) return;
    const edit = { setup: mine.value, label: unsaved.label };
    if (base === view.version) {
      const reason = 'the page was left before it was saved';
      store.setState({ setup: mine.value, unsaved: { ...edit, reason, again: true } });
      return;
    }
    // Saved elsewhere meanwhile: this tab is where it was, on the version it stood on.
    confirmed = { ...view, version: base, setup: baseSetup };
    store.setState({
      setup: mine.value,
      version: base,
      conflict: { ...edit, head: view.version, theirs: view, clash: false },
    });
  }
}

export const ModelContext = createContext<ModelStore | undefined>(undefined);

/** Reads from the open model. */
export function useModel<T>(select: (state: ModelState) => T): T {
  const store = useContext(ModelContext);
  if (!store) throw new Error('useModel outside of a model page');
  return useStore(store, select);
}
