import { Worker } from 'node:worker_threads';
import type { Setup } from '../../core/setup';
import { Failure } from '../failure';
import { createAnswerer } from './answerer';
import type { QUESTIONS, QuestionName } from './questions';
import { createThreads, NoAnswer, type Threads } from './threads';

export type { ShelfLine, Stamped, WayPart } from './questions';
export { NoAnswer } from './threads';

type Rest<F> = F extends (setup: Setup, ...more: infer M) => unknown ? M : never;
type Value<N extends QuestionName> = ReturnType<(typeof QUESTIONS)[N]>;

/** Somebody waits at the bench. */
const LIMIT_MS = 20_000;
/** Lines of the shelf are worked out while nobody waits. */
const BACKGROUND_LIMIT_MS = 45_000;

const shared = globalThis as {
  tolvanThreads?: { front: Threads; background: Threads };
};

/** Threads only under the server: a script or a test that asks has nobody else to keep waiting. */
const isServer = () => process.env.NEXT_RUNTIME === 'nodejs';
const inPlace = createAnswerer();

function threads() {
  const start = () => new Worker(new URL('./judge.worker.ts', import.meta.url));
  return (shared.tolvanThreads ??= {
    front: createThreads(2, start),
    background: createThreads(1, start),
  });
}

/**
 * Asks the chain off the thread that answers requests.
 * @throws Failure 503 where there is no answer in time, in words
 */
export const ask = <N extends QuestionName>(
  name: N,
  setup: Setup,
  ...more: Rest<(typeof QUESTIONS)[N]>
): Promise<Value<N>> => askWhile(undefined, name, setup, ...more);

/** The same as long as somebody waits. @param signal aborted when nobody does any more */
export async function askWhile<N extends QuestionName>(
  signal: AbortSignal | undefined,
  name: N,
  setup: Setup,
  ...more: Rest<(typeof QUESTIONS)[N]>
): Promise<Value<N>> {
  if (!isServer()) return inPlace(name, setup, more) as Value<N>;
  try {
    return (await threads().front.ask({ name, setup, more }, LIMIT_MS, signal)) as Value<N>;
  } catch (error) {
    throw new Failure(503, [
      {
        path: '',
        reason: `the proof of this program could not be worked out here (${(error as Error).message}): nothing was saved. A program with fewer switches, latches and delays in one channel can be`,
      },
    ]);
  }
}

/** The same while nobody waits. @throws NoAnswer */
export async function askInBackground<N extends QuestionName>(
  name: N,
  setup: Setup,
  ...more: Rest<(typeof QUESTIONS)[N]>
): Promise<Value<N>> {
  if (isServer())
    return (await threads().background.ask({ name, setup, more }, BACKGROUND_LIMIT_MS)) as Value<N>;
  try {
    return inPlace(name, setup, more) as Value<N>;
  } catch (error) {
    throw new NoAnswer((error as Error).message);
  }
}
