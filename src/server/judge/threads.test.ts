import { describe, expect, it } from 'vitest';
import { makeSetup } from '../../../tests/kit/setups';
import type { JudgeReply, Request } from './judge.worker';
import { createThreads, type Thread } from './threads';

/** A thread made of promises: answers by what the question is called. */
function makeThread(log: string[], name: number): Thread {
  const heard: Partial<Record<string, (x: never) => void>> = {};
  let ended = false;
  const say = (answer: JudgeReply) => !ended && heard.message?.(answer as never);
  return {
    on: ((event: string, listener: (x: never) => void) => {
      heard[event] = listener;
    }) as Thread['on'],
    postMessage(message) {
      const { more } = message as Request;
      const [what] = more as [string];
      log.push(`${name} ${what}`);
      if (what === 'sleep') return;
      setTimeout(() => {
        if (what === 'throw') say({ ok: false, reason: 'too odd' });
        else if (what === 'die') heard.exit?.(undefined as never);
        else say({ ok: true, value: what });
      }, 5);
    },
    terminate() {
      ended = true;
      log.push(`${name} ended`);
    },
    unref: () => undefined,
  };
}

describe('threads that answer questions', () => {
  const setup = makeSetup();
  const start = (most: number) => {
    const log: string[] = [];
    let count = 0;
    const threads = createThreads(most, () => makeThread(log, ++count));
    const ask = (what: string, limitMs = 1000, signal?: AbortSignal) =>
      threads.ask({ name: 'card', setup, more: [what] }, limitMs, signal);
    return { log, ask };
  };
  it('take turns, at most so many at once', async () => {
    const { log, ask } = start(2);
    expect(await Promise.all(['a', 'b', 'c', 'd'].map((w) => ask(w)))).toEqual([
      'a',
      'b',
      'c',
      'd',
    ]);
    expect(log.slice(0, 2)).toEqual(['1 a', '2 b']);
    expect(new Set(log.map((l) => l[0])).size).toBe(2);
  });
  it('a question that takes too long is ended, and the others go on', async () => {
    const { log, ask } = start(1);
    const slow = ask('sleep', 20);
    const quick = ask('a');
    await expect(slow).rejects.toMatchObject({ code: 'NO_ANSWER' });
    expect(await quick).toBe('a');
    expect(log).toEqual(['1 sleep', '1 ended', '2 a']);
  });
  it('one that nobody waits for any more is not asked', async () => {
    const { log, ask } = start(1);
    const gone = new AbortController();
    const answers = [ask('a'), ask('b', 1000, gone.signal), ask('c')];
    gone.abort();
    await expect(answers[1]).rejects.toMatchObject({ code: 'NO_ANSWER' });
    expect(await Promise.all([answers[0], answers[2]])).toEqual(['a', 'c']);
    expect(log).toEqual(['1 a', '1 c']);
  });
  it('one that throws or dies is a refusal, and the next gets an answer', async () => {
    const { ask } = start(1);
    await expect(ask('throw')).rejects.toThrow('too odd');
    await expect(ask('die')).rejects.toThrow('ended');
    expect(await ask('a')).toBe('a');
  });
});
