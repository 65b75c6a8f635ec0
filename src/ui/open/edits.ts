import { keptApart } from '@/core/edit';
import { applyPatch, guardedDifference, unguarded } from '@/core/patch';
import type { Result, Setup } from '@/core/setup';
import type { ModelView } from '@/server/models';
import type { Edit, ModelState } from './modelState';
import { oneAtATime } from './oneAtATime';
import { isTransient, reasonsOf, type Reply } from './send';

/** What saving edits needs of the tab around it. */
export interface Around {
  get(): Pick<ModelState, 'unsaved' | 'conflict'>;
  set(state: Partial<ModelState>): void;
  /** Saves a version, and reads what stands on the server. */
  ask: { put(body: object): Promise<Reply<ModelView>>; get(): Promise<Reply<ModelView>> };
  /** What the server has said last. */
  confirmed(): ModelView;
  parse(data: unknown): Result<Setup>;
  /** What the server says once it has kept an edit. */
  kept(edit: Edit, next: ModelView): void;
  /** Evidence is shown again: what it was seen on may have changed. */
  shown(): void;
  persist(): void;
  /** What must reach the server before the next save does. */
  before(): Promise<void>;
}

/**
 * Whether what was changed stands in another Setup already: a save arrived, and the word of it was lost.
 * @param base what both began with
 */
export function standsIn(theirs: Setup, base: Setup, mine: Setup): boolean {
  const now = JSON.stringify(theirs);
  if (JSON.stringify(mine) === now) return true;
  try {
    const again = applyPatch(theirs, unguarded(guardedDifference(base, mine)));
    return JSON.stringify(again) === now;
  } catch {
    return false;
  }
}

/** Edits made in this tab: on the screen at once, saved one after another, met with what was saved elsewhere. */
export function editsOf({ get, set, ask, confirmed, parse, kept, shown, persist, before }: Around) {
  /** Waiting for the one on its way, which is the first. */
  let edits: Edit[] = [];

  /** What this tab changed since the server's last word, on top of another Setup. */
  const merged = (theirs: Setup, mine: Setup, over = false): Setup | undefined => {
    const base = confirmed().setup;
    const patch = guardedDifference(base, keptApart(base, mine, theirs));
    try {
      const next = parse(applyPatch(theirs, over ? unguarded(patch) : patch));
      return next.ok ? next.value : undefined;
    } catch {
      return undefined;
    }
  };

  /** Somebody else saved in between: both are kept until the person chooses. */
  const meet = async (edit: Edit, head: number) => {
    set({ unsaved: undefined, conflict: { ...edit, head, theirs: undefined, clash: false } });
    persist();
    const reply = await ask.get();
    const { conflict } = get();
    if (!reply.ok || !conflict) return;
    if (standsIn(reply.value.setup, confirmed().setup, conflict.setup)) {
      set({ conflict: undefined });
      kept(conflict, reply.value);
      return;
    }
    const clash = merged(reply.value.setup, conflict.setup) === undefined;
    set({ conflict: { ...conflict, head: reply.value.version, theirs: reply.value, clash } });
  };

  /** Sends edits one after another; a failed one waits, and later ones are joined to it. */
  const pump = oneAtATime(async () => {
    for (let edit = edits[0]; edit; edit = edits[0]) {
      const { unsaved, conflict } = get();
      if (unsaved || conflict) {
        const last = edits.at(-1)!;
        edits = [];
        if (conflict) set({ conflict: { ...conflict, ...last }, saving: 0 });
        else set({ unsaved: { ...unsaved!, ...last }, saving: 0 });
        persist();
        break;
      }
      await before();
      const { version: basedOn } = confirmed();
      const reply = await ask.put({ basedOn, label: edit.label, setup: edit.setup });
      edits = edits.slice(1);
      set({ saving: edits.length });
      if (reply.ok) kept(edit, reply.value);
      else if (reply.status === 409 && reply.head !== undefined) await meet(edit, reply.head);
      else {
        const reason = reasonsOf(reply.problems);
        set({ unsaved: { ...edit, reason, again: isTransient(reply.status) } });
        persist();
      }
    }
  });

  return {
    pump,
    merged,
    /** An edit: shown at once, saved after those before it. */
    save(setup: Setup, label: string): Promise<void> {
      edits.push({ setup, label });
      set({ setup, saving: edits.length });
      shown();
      persist();
      return pump();
    },
    /** Whether something is on its way to the server. */
    underway: (): boolean => edits.length > 0,
    newest: (): Edit | undefined => edits.at(-1),
  };
}
