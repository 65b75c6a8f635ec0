import { saidFor } from '../../../tests/kit/bench';
import type { BenchSaid } from '@/core/procedure';
import { describe, expect, it } from 'vitest';
import type { Setup } from '@/core/setup';
import type { ModelView } from '@/server/models';
import { makeSetup } from '../../../tests/kit/setups';
import { answersOf } from './answers';
import type { PendingAnswer } from './modelState';
import type { Reply } from './send';

type Body = {
  version: number;
  answers?: { check: string; surface: string }[];
  keep?: true;
} & Partial<Pick<PendingAnswer, 'check' | 'surface' | 'seen'>>;

const OK = (): Reply<ModelView> => ({ ok: true, value: {} as ModelView });
const no = (status: number, changed?: string[]): Reply<ModelView> => ({
  ok: false,
  status,
  problems: [{ path: '', reason: 'no' }],
  ...(changed ? { changed } : {}),
});

/** A tab round answers: what it asks the server, how that replies, and what it says. */
function tab(reply: (body: Body) => Reply<ModelView> = OK) {
  const setup = makeSetup();
  const versionOf = new WeakMap<Setup, number>([[setup, 4]]);
  const around = {
    setup,
    version: 4,
    answers: [] as readonly PendingAnswer[],
    ready: true,
    asked: [] as Body[],
    kept: 0,
    refreshed: 0,
    said: [] as string[],
    bench: saidFor('stick-roll') as BenchSaid | undefined,
    reply,
  };
  const answers = answersOf({
    get: () => around,
    put: (list) => (around.answers = list),
    ask: (body) => {
      around.asked.push(body as Body);
      return Promise.resolve(around.reply(body as Body));
    },
    versionOf,
    ready: () => Promise.resolve(around.ready),
    kept: () => (around.kept += 1),
    refused: () => {
      around.refreshed += 1;
      return Promise.resolve();
    },
    say: (words) => around.said.push(words),
    bench: () => around.bench,
  });
  return { around, answers };
}

const roll = { check: 'stick-roll', surface: 'aileron-left', seen: 'up' } as const;
const other = { check: 'stick-roll', surface: 'aileron-right', seen: 'down' } as const;

describe('answers of a tab', () => {
  it('of one look go together, for the version they were seen on, and leave the list when kept', async () => {
    const { around, answers } = tab();
    const given = answers.give([roll, other], 'Sticks right');
    expect(around.answers.map((a) => [a.surface, a.state, a.version])).toEqual([
      ['aileron-left', 'sending', 4],
      ['aileron-right', 'sending', 4],
    ]);
    await given;
    expect(around.asked).toMatchObject([
      { version: 4, answers: [roll, other], bench: around.bench },
    ]);
    expect([around.answers, around.kept]).toEqual([[], 1]);
  });
  it('the newest word on a subject is the one that is sent', async () => {
    const { around, answers } = tab();
    around.ready = false;
    await answers.give([roll], 'First');
    await answers.give([{ ...roll, seen: 'down' }], 'Second');
    expect(around.asked).toEqual([]);
    around.ready = true;
    await answers.send();
    expect(around.asked).toMatchObject([{ version: 4, ...roll, seen: 'down' }]);
  });
  it('a look that is refused is sent one by one: the good one is kept, the other says why', async () => {
    const { around, answers } = tab((body) =>
      body.answers || body.surface === 'aileron-right' ? no(422) : OK(),
    );
    await answers.give([roll, other], 'Sticks right');
    expect(around.asked).toHaveLength(3);
    expect(around.answers).toEqual([]);
    expect(around.said).toEqual(['Sticks right: not kept. no']);
  });
  it('nothing of powered work is answered while the bench was not called safe', async () => {
    const { around, answers } = tab();
    around.bench = undefined;
    await answers.give([roll], 'Stick right');
    expect([around.answers, around.asked]).toEqual([[], []]);
    expect(around.said[0]).toContain('confirm first');
    // Taking an answer back hurts nobody.
    await answers.give([{ ...roll, seen: 'unseen' }], 'Stick right');
    expect(around.asked).toHaveLength(1);
  });
  it('a server that does not answer leaves it to be sent again', async () => {
    const { around, answers } = tab(() => no(0));
    await answers.give([roll], 'Stick right');
    expect(around.answers).toMatchObject([{ state: 'failed', reason: 'no', version: 4 }]);
    around.reply = OK;
    answers.again();
    await answers.send();
    expect([around.answers, around.kept]).toEqual([[], 1]);
  });
  it('what waits for all of them sends the failed ones again, and says when one is still missing', async () => {
    const { around, answers } = tab(() => no(0));
    await answers.give([roll], 'Stick right');
    expect(await answers.allKept()).toBe(false);
    around.reply = OK;
    expect(await answers.allKept()).toBe(true);
    expect([around.answers, around.kept, around.asked.length]).toEqual([[], 1, 3]);
    around.reply = () => no(409, ['the mounting']);
    await answers.give([other], 'Stick right');
    expect(await answers.allKept(), 'a refused one is a choice of its own').toBe(true);
  });
  it('what has changed since is looked at, and kept only when that is wanted', async () => {
    const { around, answers } = tab((body) => (body.keep ? OK() : no(409, ['the mounting'])));
    await answers.give([roll], 'Stick right');
    expect(around.answers).toMatchObject([{ state: 'refused', changed: ['the mounting'] }]);
    expect(around.refreshed).toBe(1);
    answers.keepAnyway(around.answers[0]!);
    await Promise.resolve().then(() => undefined);
    expect(around.asked.at(-1)).toMatchObject({ keep: true, version: 4 });
  });
  it('one that is dropped is gone', async () => {
    const { around, answers } = tab(() => no(0));
    await answers.give([roll], 'Stick right');
    answers.drop(around.answers[0]!);
    expect(around.answers).toEqual([]);
  });
});
