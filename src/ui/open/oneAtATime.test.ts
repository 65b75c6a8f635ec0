import { describe, expect, it } from 'vitest';
import { oneAtATime } from './oneAtATime';

/** A queue that is emptied by its work, and what of it was done together. */
function queue(pause: () => Promise<void> = () => Promise.resolve()) {
  const waiting: string[] = [];
  const done: string[] = [];
  let atOnce = 0;
  const run = oneAtATime(async () => {
    atOnce += 1;
    expect(atOnce).toBe(1);
    for (let next = waiting.shift(); next; next = waiting.shift()) {
      if (next === 'bad') throw new Error('bad');
      await pause();
      done.push(next);
    }
    atOnce -= 1;
  });
  return { waiting, done, run };
}

describe('one at a time', () => {
  it('what is added just after a run with nothing to do is done as well', async () => {
    const { waiting, done, run } = queue();
    void run();
    waiting.push('a');
    await run();
    expect(done).toEqual(['a']);
  });
  it('at every moment of a run, what was added before asking is done when the promise is kept', async () => {
    for (let moment = 0; moment < 12; moment++) {
      const { waiting, done, run } = queue();
      waiting.push('a');
      void run();
      for (let i = 0; i < moment; i++) await Promise.resolve();
      waiting.push('b');
      await run();
      expect(done, `${moment} ticks later`).toEqual(['a', 'b']);
    }
  });
  it('what fails is told to whoever waits, and does not stand in the way of the next', async () => {
    const { waiting, done, run } = queue();
    waiting.push('bad');
    await expect(run()).rejects.toThrow('bad');
    const later = oneAtATime(() => Promise.resolve(void done.push('later')));
    await later();
    expect(done).toEqual(['later']);
  });
});
