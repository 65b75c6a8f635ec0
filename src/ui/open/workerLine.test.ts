import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { WorkerLine } from './workerLine';

const SILENCE_MS = 8000;

/** A worker that does nothing: the test settles every question itself. */
class StillWorker extends EventTarget {
  static made: StillWorker[] = [];
  ended = false;
  constructor() {
    super();
    StillWorker.made.push(this);
  }
  postMessage(): void {}
  terminate(): void {
    this.ended = true;
  }
  break(message: string): void {
    this.dispatchEvent(Object.assign(new Event('error'), { message }));
  }
}

const line = (make: () => Worker = () => new StillWorker() as unknown as Worker) =>
  new WorkerLine<{ work: () => number }>(make, SILENCE_MS);
/** A question that the test answers, and everything the line reports. */
function asked(of = line()) {
  const reports: unknown[] = [];
  const { promise, resolve, reject } = promised<number>();
  let heard = () => {};
  const cancel = of.ask(
    (_, hear) => {
      heard = hear;
      return promise;
    },
    (answer) => reports.push(answer),
    (words) => reports.push(words),
  );
  return { reports, cancel, resolve, reject, heard: () => heard() };
}
function promised<T>() {
  let resolve!: (value: T) => void;
  let reject!: (why: Error) => void;
  const promise = new Promise<T>((yes, no) => ([resolve, reject] = [yes, no]));
  return { promise, resolve, reject };
}
const settled = () => vi.advanceTimersByTimeAsync(0);

beforeEach(() => {
  StillWorker.made = [];
  vi.useFakeTimers();
});
afterEach(() => {
  vi.useRealTimers();
});

describe('the line to a worker', () => {
  it('one worker answers one question after another', async () => {
    const of = line();
    for (const n of [1, 2]) {
      const { reports, resolve } = asked(of);
      resolve(n);
      await settled();
      expect(reports).toEqual([n]);
    }
    expect(StillWorker.made).toHaveLength(1);
    expect(StillWorker.made[0]!.ended).toBe(false);
  });
  it('a question cancelled while its worker is busy ends the worker and reports nothing', async () => {
    const of = line();
    const { reports, cancel, resolve } = asked(of);
    cancel();
    resolve(1);
    await settled();
    expect([reports, StillWorker.made[0]!.ended]).toEqual([[], true]);
    asked(of);
    expect(StillWorker.made).toHaveLength(2);
  });
  it('cancelled after the answer, the worker stays', async () => {
    const { cancel, resolve } = asked();
    resolve(1);
    await settled();
    cancel();
    expect(StillWorker.made[0]!.ended).toBe(false);
  });
  it('a worker that breaks is ended, and the reason is reported once', async () => {
    const { reports, reject } = asked();
    StillWorker.made[0]!.break('no memory');
    reject(new Error('late'));
    await settled();
    expect(reports[0]).toBe('no memory');
    expect(StillWorker.made[0]!.ended).toBe(true);
  });
  it('a silent worker is ended; one that reports progress is not', async () => {
    const { reports, heard } = asked();
    for (let i = 0; i < 3; i++) {
      await vi.advanceTimersByTimeAsync(SILENCE_MS * 0.75);
      heard();
    }
    expect(reports).toEqual([]);
    await vi.advanceTimersByTimeAsync(SILENCE_MS * 1.2);
    expect(reports).toEqual(['it stopped responding']);
    expect(StillWorker.made[0]!.ended).toBe(true);
  });
  it('the reason of a failed question is reported', async () => {
    const { reports, reject } = asked();
    reject(new Error('too large'));
    await settled();
    expect(reports).toEqual(['too large']);
  });
  it('a browser without workers is reported as a failure, after the call returns', async () => {
    const none = line(() => {
      throw new Error('no workers here');
    });
    const { reports } = asked(none);
    expect(reports).toEqual([]);
    await settled();
    expect(reports).toEqual(['no workers here']);
    const given = asked(none);
    given.cancel();
    await settled();
    expect(given.reports).toEqual([]);
  });
});
