import type { BenchSaid } from '@/core/procedure';
import type { Setup } from '@/core/setup';
import type { ModelView } from '@/server/models';
import type { ModelState } from './modelState';
import { reasonsOf, type Reply } from './send';

/** What changes made by the server need of the tab around them. */
export interface Around {
  get(): Pick<ModelState, 'setup' | 'version' | 'refresh'>;
  ask(what: string, body: object): Promise<Reply<ModelView>>;
  /** Saves what waits to be saved. */
  pump(): Promise<void>;
  /** Whether everything of this tab is saved. */
  settled(): boolean;
  /** Sends the answers that wait. @returns whether none is left that the server has not heard of */
  allKept(): Promise<boolean>;
  confirm(next: ModelView): void;
  /** A change that can be taken back here. @param before it */
  remember(before: Setup, label: string): void;
  /** Tells other tabs. */
  saved(): void;
  say(words: string): void;
  /** What was said of the bench. */
  bench(): BenchSaid | undefined;
}

/** Changes the server makes by itself, on top of the version at hand and of every answer given so far. */
export function madeByServer({
  get,
  ask,
  pump,
  settled,
  allKept,
  confirm,
  remember,
  saved,
  say,
  bench,
}: Around): Pick<ModelState, 'happened' | 'backTo' | 'applyRemedy' | 'preflight'> {
  const onServer = async (what: string, body: object, label: string): Promise<boolean> => {
    await pump();
    if (!settled()) {
      say(`${label}: not done, because a change before it is not saved yet.`);
      return false;
    }
    // What is worked out from answers is worked out from all of them.
    if (!(await allKept())) {
      say(`${label}: not done, because an answer before it is not kept yet.`);
      return false;
    }
    const { setup, version } = get();
    const reply = await ask(what, { ...body, basedOn: version });
    if (!reply.ok) {
      say(
        reply.status === 409 && reply.head !== undefined
          ? `${label}: not done, because the model was changed elsewhere meanwhile. Here is how it is now; look, and do it again.`
          : `${label}: not done. ${reasonsOf(reply.problems)}`,
      );
      if (reply.status === 409) await get().refresh();
      return false;
    }
    confirm(reply.value);
    remember(setup, label);
    saved();
    return true;
  };

  return {
    happened: (event, title, note) => onServer('events', { event, note }, title),
    backTo: (to) => onServer('versions', { to }, `Back to version ${to}`),
    applyRemedy: () => onServer('remedy', {}, 'Changes applied'),
    async preflight(check, anyway = false) {
      await pump();
      if (!(await allKept())) {
        say(
          'The preflight check is not kept yet: an answer before it is not kept. The answers are still here.',
        );
        return false;
      }
      const reply = await ask('preflight', {
        ...check,
        bench: bench(),
        ...(anyway ? { keep: true } : {}),
      });
      if (reply.ok) {
        confirm(reply.value);
        saved();
        return true;
      }
      if (reply.changed) {
        await get().refresh();
        return { changed: reply.changed };
      }
      say(
        `The preflight check is not kept yet: ${reasonsOf(reply.problems)}. The answers are still here.`,
      );
      return false;
    },
  };
}
