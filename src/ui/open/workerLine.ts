import { wrap, type Remote } from 'comlink';

/** Work started in a worker. */
export interface Begun<R> {
  /** Undefined where the browser has no workers: `failed` is called instead. */
  remote: Remote<R> | undefined;
  /** The worker reported progress. */
  heard(): void;
  /** Stops listening. @param busy the worker is still working, and is ended too */
  end(busy: boolean): void;
}

/**
 * A connection to a worker that may break, stop responding, or not exist. One worker answers all questions, so that
 * it keeps its caches; a broken worker, or one busy with a cancelled question, is ended.
 */
export class WorkerLine<R extends object> {
  /** Kept together: a discarded proxy makes its worker stop listening. */
  private kept: { worker: Worker; remote: Remote<R> } | undefined;

  /**
   * @param make a new worker; throws where the browser has none
   * @param silenceMs a worker silent for this long counts as stopped
   */
  constructor(
    private readonly make: () => Worker,
    private readonly silenceMs: number,
  ) {}

  /** @param failed called once, with the reason, when the worker breaks or stops responding */
  begin(failed: (words: string) => void): Begun<R> {
    let heardAt = performance.now();
    try {
      if (!this.kept) {
        const worker = this.make();
        this.kept = { worker, remote: wrap<R>(worker) };
      }
    } catch (error) {
      // Asynchronous, like every other outcome.
      const soon = setTimeout(() => failed((error as Error).message));
      return { remote: undefined, heard: () => undefined, end: () => clearTimeout(soon) };
    }
    const { worker, remote } = this.kept;
    let running = true;
    const end = (busy: boolean) => {
      if (!running) return;
      running = false;
      clearInterval(watch);
      worker.removeEventListener('error', broke);
      if (busy) this.letGo(worker);
    };
    const fail = (words: string) => {
      if (!running) return;
      end(true);
      failed(words);
    };
    const broke = (event: ErrorEvent) =>
      fail(event.message || 'the part of the program that works it out could not be loaded');
    const watch = setInterval(() => {
      // A hidden page gets no processor time.
      if (globalThis.document?.hidden) heardAt = performance.now();
      if (performance.now() - heardAt >= this.silenceMs) fail('it stopped responding');
    }, this.silenceMs / 8);
    worker.addEventListener('error', broke);
    return { remote, heard: () => (heardAt = performance.now()), end };
  }

  /**
   * Asks one question. @param answered receives the answer @param failed receives the reason there is none
   * @returns cancels the question: neither is called afterwards
   */
  ask<T>(
    call: (remote: Remote<R>, heard: () => void) => Promise<T>,
    answered: (answer: T) => void,
    failed: (words: string) => void,
  ): () => void {
    const { remote, heard, end } = this.begin(failed);
    let open = true;
    if (remote)
      call(remote, heard).then(
        (answer) => {
          end(false);
          if (open) answered(answer);
        },
        (error: unknown) => {
          end(true);
          if (open) failed((error as Error).message);
        },
      );
    return () => {
      open = false;
      end(true);
    };
  }

  close(): void {
    if (this.kept) this.letGo(this.kept.worker);
  }

  private letGo(worker: Worker): void {
    worker.terminate();
    if (this.kept?.worker === worker) this.kept = undefined;
  }
}
