import type { JudgeReply, Request } from './judge.worker';

/** As much of a worker thread as is needed here. */
export interface Thread {
  postMessage(message: unknown): void;
  on(event: 'message', heard: (message: JudgeReply) => void): void;
  on(event: 'error', heard: (error: Error) => void): void;
  on(event: 'exit', heard: () => void): void;
  terminate(): unknown;
  unref(): void;
}

/** Why there is no answer: it took too long, or the thread ended. */
export class NoAnswer extends Error {
  readonly code = 'NO_ANSWER';
}

interface Waiting {
  request: Request;
  limitMs: number;
  /** Nobody wants the answer any more. */
  signal: AbortSignal | undefined;
  resolve: (value: unknown) => void;
  reject: (error: Error) => void;
}

/**
 * A few threads that answer questions, one at a time each; further questions wait in a row. A thread
 * whose question takes longer than its limit is ended, and the next question gets a new one.
 */
export function createThreads(most: number, start: () => Thread) {
  const idle: Thread[] = [];
  const row: Waiting[] = [];
  let running = 0;

  const next = (): void => {
    if (row.length === 0 || (idle.length === 0 && running >= most)) return;
    const { request, limitMs, signal, resolve, reject } = row.shift()!;
    if (signal?.aborted) {
      reject(new NoAnswer('nobody waits for it any more'));
      return next();
    }
    const thread = idle.pop() ?? open();
    running += 1;
    const settle = (then: () => void, reuse: boolean) => {
      if (hear.get(thread) === undefined) return;
      hear.delete(thread);
      clearTimeout(timer);
      running -= 1;
      if (reuse) idle.push(thread);
      else void thread.terminate();
      then();
      next();
    };
    const timer = setTimeout(
      () => settle(() => reject(new NoAnswer(`no answer within ${limitMs / 1000} s`)), false),
      limitMs,
    );
    timer.unref?.();
    hear.set(thread, (answer) =>
      answer.ok
        ? settle(() => resolve(answer.value), true)
        : settle(() => reject(new NoAnswer(answer.reason)), answer.ended !== true),
    );
    thread.postMessage(request);
  };

  const hear = new Map<Thread, (answer: JudgeReply & { ended?: boolean }) => void>();
  const open = (): Thread => {
    const thread = start();
    // The server may end while a thread is idle.
    thread.unref();
    thread.on('message', (answer) => hear.get(thread)?.(answer));
    const gone = (reason: string) => {
      const at = idle.indexOf(thread);
      if (at >= 0) idle.splice(at, 1);
      hear.get(thread)?.({ ok: false, reason, ended: true });
    };
    thread.on('error', (error) => gone(error.message));
    thread.on('exit', () => gone('the thread ended'));
    return thread;
  };

  return {
    /** @param signal once it is aborted a question that still waits in the row is not asked any more */
    ask: (request: Request, limitMs: number, signal?: AbortSignal): Promise<unknown> =>
      new Promise((resolve, reject) => {
        row.push({ request, limitMs, signal, resolve, reject });
        next();
      }),
  };
}

export type Threads = ReturnType<typeof createThreads>;
