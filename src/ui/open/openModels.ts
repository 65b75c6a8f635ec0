'use client';

import type { ModelView } from '@/server/models';
import type { ModelStore } from './modelState';
import { createModelStore } from './modelStore';
import { loadReader } from './reading';
import { send } from './send';

/**
 * The models this tab has open, for as long as the tab lives: coming back to one finds what was left
 * there, edits that are not saved yet included, whatever page the browser had kept.
 */
const open = new Map<string, ModelStore>();

/** Other tabs of the same workshop hear of every save. */
const CHANNEL = 'tolvan-saved';
let channel: BroadcastChannel | undefined;

const RETRY_MS = 4000;

/** Tells this tab and all others that a model was changed otherwise than by an edit: retired, or deleted. */
export function tellChanged(id: string): void {
  void open.get(id)?.getState().refresh();
  const heard =
    channel ??
    (typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel(CHANNEL));
  heard?.postMessage(id);
  if (heard !== channel) heard?.close();
}

/** The store of a model, made once in a tab. */
export function openModel(view: ModelView): ModelStore {
  // On the server every page stands alone.
  if (typeof window === 'undefined') return createModelStore(view);
  if (open.size === 0) watch();
  const known = open.get(view.id);
  if (known) {
    known.getState().absorb(view);
    return known;
  }
  const store = createModelStore(view, {
    send,
    saved: (id) => channel?.postMessage(id),
    reader: loadReader(),
  });
  open.set(view.id, store);
  return store;
}

/** Looks for the newest when the page is checked again, and tries again what was not taken. */
function watch(): void {
  const each = (act: (store: ModelStore) => void) => () => open.forEach(act);
  const refresh = each((store) => void store.getState().refresh());
  const retry = each((store) => {
    const { unsaved, answers, retry: again } = store.getState();
    if (unsaved?.again || answers.some((a) => a.state === 'failed')) again();
  });
  window.addEventListener('pageshow', (event) => event.persisted && refresh());
  document.addEventListener('visibilitychange', () => !document.hidden && refresh());
  window.addEventListener('online', () => {
    retry();
    refresh();
  });
  setInterval(retry, RETRY_MS);
  if (typeof BroadcastChannel === 'undefined') return;
  channel = new BroadcastChannel(CHANNEL);
  channel.addEventListener('message', ({ data }) => {
    void open.get(String(data))?.getState().refresh();
  });
}
