import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { WorkerLine } from './workerLine';

const SILENCE_MS = 8000;

/** A worker that answers nothing by itself: what is asked of it is a promise of the test's. */
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
/** A question whose answer the test gives, and everything that is told. */
function asked(of = line()) {
  const told: unknown[] = [];
  const { promise, resolve, reject } = promised<number>();
  let heard = () => {};
  const giveUp = of.ask(
    (_, hear) => {
      heard = hear;
      return promise;
    },
    (answer) => told.push(answer),
    (words) => told.push(words),
  );
  return { told, giveUp, resolve, reject, heard: () => heard() };
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
      const { told, resolve } = asked(of);
      resolve(n);
      await settled();
      expect(told).toEqual([n]);
    }
    expect(StillWorker.made).toHaveLength(1);
    expect(StillWorker.made[0]!.ended).toBe(false);
  });
  it('given up while it is busy, the worker is let go and nothing is told', async () => {
    const of = line();
    const { told, giveUp, resolve } = asked(of);
    giveUp();
    resolve(1);
    await settled();
    expect([told, StillWorker.made[0]!.ended]).toEqual([[], true]);
    asked(of);
    expect(StillWorker.made).toHaveLength(2);
  });
  it('given up after the answer, it stays', async () => {
    const { giveUp, resolve } = asked();
    resolve(1);
    await settled();
    giveUp();
    expect(StillWorker.made[0]!.ended).toBe(false);
  });
  it('one that breaks says why, once, and is let go', async () => {
    const { told, reject } = asked();
    StillWorker.made[0]!.break('no memory');
    reject(new Error('late'));
    await settled();
    expect(told[0]).toBe('no memory');
    expect(StillWorker.made[0]!.ended).toBe(true);
  });
  it('one that says nothing for too long is gone; one that is heard is not', async () => {
    const { told, heard } = asked();
    for (let i = 0; i < 3; i++) {
      await vi.advanceTimersByTimeAsync(SILENCE_MS * 0.75);
      heard();
    }
    expect(told).toEqual([]);
    await vi.advanceTimersByTimeAsync(SILENCE_MS * 1.2);
    expect(told).toEqual(['it stopped responding']);
    expect(StillWorker.made[0]!.ended).toBe(true);
  });
  it('an answer that is refused is told in its words', async () => {
    const { told, reject } = asked();
    reject(new Error('too large'));
    await settled();
    expect(told).toEqual(['too large']);
  });
  it('where there are no workers it is told, after whatever asked', async () => {
    const none = line(() => {
      throw new Error('no workers here');
    });
    const { told } = asked(none);
    expect(told).toEqual([]);
    await settled();
    expect(told).toEqual(['no workers here']);
    const given = asked(none);
    given.giveUp();
    await settled();
    expect(given.told).toEqual([]);
  });
});
