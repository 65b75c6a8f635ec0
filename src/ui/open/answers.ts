import { openGates, stepOf, type BenchSaid } from '@/core/procedure';
import { stamp } from '@/core/logbook';
import type { Setup } from '@/core/setup';
import type { ModelView } from '@/server/models';
import type { PendingAnswer, ModelState } from './modelState';
import { oneAtATime } from './oneAtATime';
import { isTransient, reasonsOf, type Reply } from './send';

/** What giving and sending answers needs of the tab around it. */
export interface Around {
  get(): Pick<ModelState, 'answers' | 'setup' | 'version'>;
  put(answers: readonly PendingAnswer[]): void;
  /** Sends observations to the server. */
  ask(body: object): Promise<Reply<ModelView>>;
  /** Which version a Setup on the screen became. */
  versionOf: WeakMap<Setup, number>;
  /** After the saves on their way: whether everything of this tab is saved. */
  ready(): Promise<boolean>;
  /** What the server says once it has kept answers. */
  kept(next: ModelView): void;
  /** An answer speaks of what has changed: what is there now is checked. */
  refused(): Promise<void>;
  say(words: string): void;
  /** What was said of the bench. */
  bench(): BenchSaid | undefined;
}

const is = (a: PendingAnswer) => (b: PendingAnswer) =>
  a.check === b.check && a.surface === b.surface;

/** Answers given in this tab: shown at once, sent one look after another, kept until the server has them. */
export function answersOf({ get, put, ask, versionOf, ready, kept, refused, say, bench }: Around) {
  /** What was on the screen when an answer was given whose version is not known yet. */
  const answeredOn = new Map<string, Setup>();

  const replace = (answer: PendingAnswer, next?: PendingAnswer) =>
    put(get().answers.flatMap((a) => (a === answer ? (next ? [next] : []) : [a])));

  /** The version an answer speaks of, as far as it is saved. */
  const knownOf = ({ check, surface, version }: PendingAnswer): number | undefined => {
    const on = answeredOn.get(`${check} ${surface}`);
    return version ?? (on && versionOf.get(on));
  };
  const onOf = (answer: PendingAnswer): number => knownOf(answer) ?? get().version;

  let turn: Promise<unknown> = Promise.resolve();
  /** Runs the work after all work queued before it. */
  const inTurn = <T>(work: () => Promise<T>): Promise<T> => {
    const next = turn.then(work);
    turn = next.catch(() => undefined);
    return next;
  };

  /** Answers of one look together; whatever is wrong with one of them is found out one by one. */
  const sendLook = async (look: readonly PendingAnswer[]): Promise<boolean> => {
    const said = look.map(({ check, surface, seen, ground }) => ({ check, surface, seen, ground }));
    const { at, bench } = look[0]!;
    const reply = await ask({ version: onOf(look[0]!), answers: said, at, bench });
    if (!reply.ok) return false;
    put(get().answers.filter((a) => !look.includes(a)));
    kept(reply.value);
    return true;
  };

  const sendOne = async (answer: PendingAnswer, anyway: boolean): Promise<void> => {
    const { check, surface, seen, ground, at, bench } = answer;
    const version = onOf(answer);
    const reply = await ask({
      check,
      surface,
      seen,
      ground,
      version,
      at,
      bench,
      ...(anyway ? { keep: true } : {}),
    });
    if (reply.ok) {
      replace(answer);
      kept(reply.value);
    } else if (reply.changed) {
      replace(answer, { ...answer, version, state: 'refused', changed: reply.changed });
      await refused();
    } else if (isTransient(reply.status))
      replace(answer, { ...answer, version, state: 'failed', reason: reasonsOf(reply.problems) });
    else {
      replace(answer);
      say(`${answer.words}: not kept. ${reasonsOf(reply.problems)}`);
    }
  };

  /** Sends the waiting answers of one look. @returns whether there were any */
  const sendFirst = (which: (a: PendingAnswer) => boolean) =>
    inTurn(async () => {
      const waiting = get().answers.filter((a) => a.state === 'sending' && which(a));
      const [answer] = waiting;
      if (!answer) return false;
      const look = waiting.filter((a) => a.words === answer.words && onOf(a) === onOf(answer));
      if (look.length === 1 || !(await sendLook(look))) await sendOne(answer, false);
      return true;
    });

  /** Sends answers one after another, after the saves before them. */
  const send = oneAtATime(async () => {
    while ((await ready()) && (await sendFirst(() => true)));
  });

  /**
   * Sends the answers given on a version the server has. A save waits for it: an answer given before a change
   * must arrive before the change.
   */
  const sendKnown = async (): Promise<void> => {
    while (await sendFirst((a) => knownOf(a) !== undefined));
  };

  /** Those that failed are sent again. */
  const again = (): Promise<void> => {
    if (get().answers.some((a) => a.state === 'failed'))
      put(get().answers.map((a) => (a.state === 'failed' ? { ...a, state: 'sending' } : a)));
    return send();
  };

  return {
    send,
    sendKnown,
    /** Answers of one look, shown at once. */
    async give(
      look: readonly Pick<PendingAnswer, 'check' | 'surface' | 'seen' | 'ground'>[],
      words: string,
    ): Promise<void> {
      const { setup, answers } = get();
      const saidOfIt = bench();
      const now = Date.now();
      const closed = look.some((answer) => {
        const { seen } = answer;
        const step = stepOf(answer);
        return seen !== 'unseen' && step && openGates(step, setup, saidOfIt, now).length > 0;
      });
      if (closed) {
        say(`${words}: confirm first what must be true of the bench, at the top of the page.`);
        return;
      }
      const at = new Date(now).toISOString();
      const own = look.map((said): PendingAnswer => {
        answeredOn.set(`${said.check} ${said.surface}`, setup);
        return {
          ...said,
          words,
          parts: stamp(setup, said),
          version: versionOf.get(setup),
          state: 'sending',
          at,
          bench: saidOfIt,
        };
      });
      // The newest word on a subject is the one that counts.
      put([...answers.filter((a) => !own.some((o) => is(o)(a))), ...own]);
      await send();
    },
    /** An answer to what has changed since, kept as what was seen then. */
    keepAnyway: (answer: PendingAnswer) => void sendOne(answer, true),
    drop: (answer: PendingAnswer) => replace(answer),
    again: () => void again(),
    /** Sends whatever waits. @returns whether none is left that the server has not heard of */
    async allKept(): Promise<boolean> {
      await again();
      return get().answers.every((a) => a.state === 'refused');
    },
  };
}
