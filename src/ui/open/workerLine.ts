import { wrap, type Remote } from 'comlink';

/** Something begun in a worker. */
export interface Begun<R> {
  /** Undefined where a browser gives no worker: `failed` is told. */
  remote: Remote<R> | undefined;
  /** It said something: it is still there. */
  heard(): void;
  /** Listens no more. @param busy it is in the middle of something, and let go with its worker */
  end(busy: boolean): void;
}

/**
 * The line to a worker that may break, fall silent, or not be there at all. One worker serves all that is asked,
 * so that what it knows need not be worked out again; one that is broken or busy with what nobody wants is let go.
 */
export class WorkerLine<R extends object> {
  /** Kept together: a proxy that is thrown away tells its worker to listen no more. */
  private kept: { worker: Worker; remote: Remote<R> } | undefined;

  /**
   * @param make a new worker; throws where a browser gives none
   * @param silenceMs one that says nothing for so long is gone
   */
  constructor(
    private readonly make: () => Worker,
    private readonly silenceMs: number,
  ) {}

  /** @param failed told once, in words, when it breaks or falls silent before it is ended */
  begin(failed: (words: string) => void): Begun<R> {
    let heardAt = performance.now();
    try {
      if (!this.kept) {
        const worker = this.make();
        this.kept = { worker, remote: wrap<R>(worker) };
      }
    } catch (error) {
      // Told after whatever asked, like every other outcome.
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
      // A page nobody sees is given no time.
      if (globalThis.document?.hidden) heardAt = performance.now();
      if (performance.now() - heardAt >= this.silenceMs) fail('it stopped responding');
    }, this.silenceMs / 8);
    worker.addEventListener('error', broke);
    return { remote, heard: () => (heardAt = performance.now()), end };
  }

  /**
   * Asks one question. @param told its answer @param failed why there is none
   * @returns gives it up: nothing is told any more
   */
  ask<T>(
    call: (remote: Remote<R>, heard: () => void) => Promise<T>,
    told: (answer: T) => void,
    failed: (words: string) => void,
  ): () => void {
    const { remote, heard, end } = this.begin(failed);
    let open = true;
    if (remote)
      call(remote, heard).then(
        (answer) => {
          end(false);
          if (open) told(answer);
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
