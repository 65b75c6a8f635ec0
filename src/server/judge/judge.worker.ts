import { parentPort } from 'node:worker_threads';
import type { Setup } from '../../core/setup';
import { createAnswerer } from './answerer';
import type { QuestionName } from './questions';

/** One question on its way to the thread. */
export interface Request {
  name: QuestionName;
  setup: Setup;
  more: readonly unknown[];
}

export type JudgeReply = { ok: true; value: unknown } | { ok: false; reason: string };

const answer = createAnswerer();

parentPort!.on('message', ({ name, setup, more }: Request) => {
  try {
    parentPort!.postMessage({ ok: true, value: answer(name, setup, more) } satisfies JudgeReply);
  } catch (error) {
    parentPort!.postMessage({ ok: false, reason: (error as Error).message } satisfies JudgeReply);
  }
});
