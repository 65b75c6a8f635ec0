import { saidFor } from '../../../tests/kit/bench';
import { describe, expect, it } from 'vitest';
import type { Setup } from '@/core/setup';
import type { ModelView } from '@/server/models';
import { makeSetup } from '../../../tests/kit/setups';
import { madeByServer } from './madeByServer';
import type { Reply } from './send';

const SETUP = makeSetup();
const NEXT: ModelView = { id: 'm', version: 5, setup: SETUP, evidence: [] };
/** What was said of the bench goes along with a preflight check. */
const BENCH = saidFor('test:preflight');

const refused = (status: number, more: object = {}): Reply<ModelView> => ({
  ok: false,
  status,
  problems: [{ path: '', reason: 'no' }],
  ...more,
});

/** A tab on version 4 round what the server makes, in the order in which things happen. */
function tab(given: { settled?: boolean; kept?: boolean; reply?: Reply<ModelView> } = {}) {
  const did: unknown[] = [];
  const made = madeByServer({
    get: () => ({
      setup: SETUP,
      version: 4,
      refresh: () => Promise.resolve(void did.push('look again')),
    }),
    ask(what, body) {
      did.push([what, body]);
      return Promise.resolve(given.reply ?? { ok: true, value: NEXT });
    },
    pump: () => Promise.resolve(void did.push('saves')),
    settled: () => given.settled ?? true,
    allKept() {
      did.push('answers');
      return Promise.resolve(given.kept ?? true);
    },
    confirm: ({ version }) => did.push(`version ${version}`),
    remember: (before: Setup, label) => did.push(before === SETUP && `remembers ${label}`),
    saved: () => did.push('told'),
    say: (words) => did.push(`says: ${words}`),
    bench: () => BENCH,
  });
  return { did, made };
}

describe('changes the server makes', () => {
  it.each([
    [
      'a crash',
      'happened',
      ['crash', 'Crash', 'hard'],
      'Crash',
      'events',
      { event: 'crash', note: 'hard' },
    ],
    ['an old version', 'backTo', [2], 'Back to version 2', 'versions', { to: 2 }],
    ['what the diagnosis offers', 'applyRemedy', [], 'Changes applied', 'remedy', {}],
  ] as const)(
    '%s: after saves and answers, on the version at hand, to be taken back',
    async (...row) => {
      const [, act, args, label, what, body] = row;
      const { did, made } = tab();
      const done = await (made[act] as (...given: readonly unknown[]) => Promise<unknown>)(...args);
      expect(done).toBe(true);
      expect(did).toEqual([
        'saves',
        'answers',
        [what, { ...body, basedOn: 4 }],
        'version 5',
        `remembers ${label}`,
        'told',
      ]);
    },
  );
  it.each([
    [
      'a change that is not saved',
      { settled: false },
      ['saves'],
      'because a change before it is not saved yet.',
    ],
    [
      'an answer that is not kept',
      { kept: false },
      ['saves', 'answers'],
      'because an answer before it is not kept yet.',
    ],
  ])('%s holds it back', async (_, given, before, why) => {
    const { did, made } = tab(given);
    expect(await made.applyRemedy()).toBe(false);
    expect(did).toEqual([...before, `says: Changes applied: not done, ${why}`]);
  });
  it.each([
    [
      'changed elsewhere',
      refused(409, { head: 6 }),
      'Changes applied: not done, because the model was changed elsewhere meanwhile. Here is how it is now; look, and do it again.',
      true,
    ],
    ['something seen meanwhile', refused(409), 'Changes applied: not done. no', true],
    ['a server that does not answer', refused(0), 'Changes applied: not done. no', false],
  ])(
    '%s: nothing is taken for done, and the newest is looked at where it helps',
    async (...row) => {
      const [, reply, words, looks] = row;
      const { did, made } = tab({ reply });
      expect(await made.applyRemedy()).toBe(false);
      expect(did.slice(3)).toEqual([`says: ${words}`, ...(looks ? ['look again'] : [])]);
    },
  );
});

describe('a preflight check', () => {
  const check = { version: 4, answers: {} } as unknown as Parameters<
    ReturnType<typeof madeByServer>['preflight']
  >[0];
  it('is kept after saves and answers', async () => {
    const { did, made } = tab();
    expect(await made.preflight(check)).toBe(true);
    expect(did).toEqual([
      'saves',
      'answers',
      ['preflight', { ...check, bench: BENCH }],
      'version 5',
      'told',
    ]);
  });
  it('is kept all the same where that is wanted', async () => {
    const { did, made } = tab();
    await made.preflight(check, true);
    expect(did[2]).toEqual(['preflight', { ...check, bench: BENCH, keep: true }]);
  });
  it('of what has changed since says what changed', async () => {
    const { did, made } = tab({ reply: refused(409, { changed: ['the mounting'] }) });
    expect(await made.preflight(check)).toEqual({ changed: ['the mounting'] });
    expect(did.at(-1)).toBe('look again');
  });
  it.each([
    ['an answer before it', { kept: false }, 'an answer before it is not kept.'],
    ['a server that does not answer', { reply: refused(0) }, 'no.'],
  ])('%s holds it back, and the answers stay', async (_, given, why) => {
    const { did, made } = tab(given);
    expect(await made.preflight(check)).toBe(false);
    expect(did.at(-1)).toBe(
      `says: The preflight check is not kept yet: ${why} The answers are still here.`,
    );
  });
});
