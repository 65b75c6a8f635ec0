'use client';

import { createContext, useContext } from 'react';
import { toast } from 'sonner';
import { createStore, useStore, type StoreApi } from 'zustand';
import { applyPatch, type PatchOperation } from '@/core/patch';
import { stamp } from '@/core/logbook';
import { parseSetup, type Problem, type Setup } from '@/core/setup';
import type { ModelView } from '@/server/models';
import { send, type Reply } from './send';

interface Pending {
  setup: Setup;
  label: string;
}

export interface ModelState extends ModelView {
  /** Saves on their way. */
  saving: number;
  /** An edit the server has not taken: kept here until it is. */
  unsaved: (Pending & { reason: string }) | undefined;
  /** Somebody saved in between: whose version goes on is the person's choice. */
  conflict: (Pending & { head: number }) | undefined;
  past: Setup[];
  /** The Setup before the last change in this tab, and what the change was. */
  changed: { before: Setup; label: string } | undefined;
  /** Changes the Setup and saves it. @returns problems that kept it from being tried */
  edit(patch: readonly PatchOperation[], label: string): Problem[];
  undo(): void;
  retry(): void;
  keepMine(): Promise<void>;
  takeTheirs(): Promise<void>;
  observe(check: string, surface: string, seen: string): Promise<void>;
  applyRemedy(): Promise<boolean>;
  /** Something that happened to the model. */
  happened(event: string, title: string, note: string): Promise<boolean>;
  /** An earlier version on top again. */
  backTo(version: number): Promise<boolean>;
  /** The answers of a preflight check, with where and how. */
  preflight(check: {
    place: string;
    wind: string;
    battery: string;
    answers: Record<string, 'pass' | 'fail'>;
  }): Promise<boolean>;
}

export type ModelStore = StoreApi<ModelState>;

/** The open model in this tab: what is shown at once, and what the server has confirmed. */
export function createModelStore(view: ModelView): ModelStore {
  const path = `/api/models/${view.id}`;
  let queue: Promise<void> = Promise.resolve();

  return createStore<ModelState>((set, get) => {
    const take = (reply: Reply<ModelView>, pending?: Pending): boolean => {
      if (reply.ok) {
        const { setup: shown, saving } = get();
        // A later edit may already be shown; the server's answer must not take it off the screen.
        // And the same Setup stays the same object: what was worked out from it still holds.
        const kept = saving > 1 || JSON.stringify(reply.value.setup) === JSON.stringify(shown);
        set({ ...reply.value, ...(kept ? { setup: shown } : {}), unsaved: undefined });
        return true;
      }
      if (pending && reply.status === 409 && reply.head !== undefined)
        set({ conflict: { ...pending, head: reply.head } });
      else if (pending)
        set({ unsaved: { ...pending, reason: reply.problems.map((p) => p.reason).join('; ') } });
      else toast.error(`Not saved: ${reply.problems.map((p) => p.reason).join('; ')}`);
      return false;
    };

    const save = (setup: Setup, label: string, onto?: number) => {
      set((s) => ({ setup, saving: s.saving + 1 }));
      queue = queue.then(async () => {
        const { conflict, unsaved, version } = get();
        if (onto === undefined && (conflict || unsaved)) {
          // Nothing overtakes a save that is still to be settled.
          set((s) => ({
            ...(conflict ? { conflict: { ...conflict, setup, label } } : {}),
            ...(unsaved ? { unsaved: { ...unsaved, setup, label } } : {}),
            saving: s.saving - 1,
          }));
          return;
        }
        const body = { basedOn: onto ?? version, label, setup };
        take(await send<ModelView>('PUT', `${path}/setup`, body), { setup, label });
        set((s) => ({ saving: s.saving - 1 }));
      });
      return queue;
    };

    /** A change the server makes by itself on top of the version at hand. */
    const onServer = async (what: string, body: object, label: string): Promise<boolean> => {
      await queue;
      const { setup, past, version } = get();
      const reply = await send<ModelView>('POST', `${path}/${what}`, { ...body, basedOn: version });
      if (!reply.ok && reply.status === 409 && reply.head !== undefined) {
        set({ conflict: { setup, label: 'Kept', head: reply.head } });
        return false;
      }
      const done = take(reply);
      if (done) set({ past: [...past.slice(-49), setup], changed: { before: setup, label } });
      return done;
    };

    return {
      ...view,
      saving: 0,
      unsaved: undefined,
      conflict: undefined,
      past: [],
      changed: undefined,
      edit(patch, label) {
        const { setup, past } = get();
        const next = parseSetup(applyPatch(setup, patch));
        if (!next.ok) return next.problems;
        set({ past: [...past.slice(-49), setup], changed: { before: setup, label } });
        void save(next.value, label);
        return [];
      },
      undo() {
        const { past } = get();
        const last = past.at(-1);
        if (!last) return;
        set({ past: past.slice(0, -1), changed: { before: get().setup, label: 'Undone' } });
        void save(last, 'Undone');
      },
      retry() {
        const { unsaved } = get();
        if (!unsaved) return;
        set({ unsaved: undefined });
        void save(unsaved.setup, unsaved.label);
      },
      async keepMine() {
        const { conflict } = get();
        if (!conflict) return;
        set({ conflict: undefined });
        await save(conflict.setup, conflict.label, conflict.head);
      },
      async takeTheirs() {
        const reply = await send<ModelView>('GET', path, undefined);
        if (take(reply)) set({ conflict: undefined, past: [] });
      },
      async observe(check, surface, seen) {
        const before = get().evidence;
        set({
          evidence: [
            ...before.filter((e) => e.check !== check || e.surface !== surface),
            ...optimistic(get().setup, check, surface, seen),
          ],
        });
        await queue;
        const reply = await send<ModelView>('POST', `${path}/observations`, {
          check,
          surface,
          seen,
        });
        if (!take(reply)) set({ evidence: before });
      },
      happened: (event, title, note) => onServer('events', { event, note }, title),
      backTo: (to) => onServer('versions', { to }, `Back to version ${to}`),
      async preflight(check) {
        await queue;
        return take(await send<ModelView>('POST', `${path}/preflight`, check));
      },
      applyRemedy() {
        return onServer('remedy', {}, 'Changes applied');
      },
    };
  });
}

function optimistic(setup: Setup, check: string, surface: string, seen: string) {
  return [
    {
      check,
      surface,
      seen: seen as never,
      parts: stamp(setup, { check, surface }),
      version: 0,
      at: new Date().toISOString(),
    },
  ];
}

export const ModelContext = createContext<ModelStore | undefined>(undefined);

/** Reads from the open model. */
export function useModel<T>(select: (state: ModelState) => T): T {
  const store = useContext(ModelContext);
  if (!store) throw new Error('useModel outside of a model page');
  return useStore(store, select);
}
