import { beforeEach, describe, expect, it } from 'vitest';
import { makeSetup } from '../../../tests/kit/setups';
import type { Evidence } from '@/core/logbook';
import type { Setup } from '@/core/setup';
import type { ModelView } from '@/server/models';
import { saidFor } from '../../../tests/kit/bench';
import { keep, readKept } from './keep';
import { notTaken } from './modelState';
import { createModelStore } from './modelStore';
import { reader } from './reader';
import type { Reply, Send } from './send';

/** A server in a few lines: versions, observations, and a switch for each way it can fail. */
function makeServer() {
  let version = 1;
  let setup: Setup = makeSetup();
  let evidence: Evidence[] = [];
  const server = {
    down: false,
    /** Saves arrive, and the word of it is lost. */
    mute: false,
    /** Requests wait for `release` while it is set. */
    held: undefined as Promise<void> | undefined,
    /** Titles that answers on an older version are refused with. */
    changed: [] as string[],
    seen: [] as string[],
    view: (): ModelView => ({ id: 'm', version, setup, evidence }),
    elsewhere(change: (s: Setup) => void) {
      setup = structuredClone(setup);
      change(setup);
      version += 1;
    },
    send: (async (method: string, path: string, body: unknown): Promise<Reply<ModelView>> => {
      await server.held;
      const what = `${method} ${path.replace('/api/models/m', '')}`;
      server.seen.push(what);
      if (server.down)
        return { ok: false, status: 0, problems: [{ path: '', reason: 'no answer' }] };
      if (what === 'PUT /setup') {
        const put = body as { basedOn: number; setup: Setup };
        if (put.basedOn !== version)
          return { ok: false, status: 409, head: version, problems: [{ path: '', reason: 'old' }] };
        setup = structuredClone(put.setup);
        version += 1;
        if (server.mute)
          return { ok: false, status: 0, problems: [{ path: '', reason: 'no answer' }] };
      }
      if (what === 'POST /observations') {
        const seen = body as Evidence & { keep?: boolean };
        if (seen.version < version && server.changed.length > 0 && !seen.keep)
          return {
            ok: false,
            status: 409,
            head: version,
            changed: server.changed,
            problems: [{ path: '/version', reason: 'changed' }],
          };
        const { check, surface } = seen;
        evidence = [
          ...evidence.filter((e) => e.check !== check || e.surface !== surface),
          { check, surface, seen: seen.seen, version: seen.version, parts: {}, at: 'now' },
        ];
      }
      return { ok: true, value: server.view() };
    }) as Send,
  };
  return server;
}

const settle = () => new Promise((resolve) => setTimeout(resolve, 5));
const end = (pct: number) => [
  { op: 'replace' as const, path: '/program/outputs/0/minPct', value: pct },
];
const minOf = (s: Setup) => s.program.outputs[0]!.minPct;

let server: ReturnType<typeof makeServer>;
const open = () =>
  createModelStore(server.view(), { send: server.send, saved: () => undefined, reader });

beforeEach(() => {
  keep('model:m', undefined);
  keep('tolvan-bench:m', saidFor('stick-roll'));
  server = makeServer();
});

describe('edits', () => {
  it('are shown at once and saved one after another', async () => {
    const store = open();
    store.getState().edit(end(-90), 'one');
    store.getState().edit(end(-80), 'two');
    expect(minOf(store.getState().setup)).toBe(-80);
    expect(store.getState().saving).toBe(2);
    await settle();
    expect(store.getState()).toMatchObject({ version: 3, saving: 0 });
    expect(minOf(server.view().setup)).toBe(-80);
  });
  it('that change nothing are no version', async () => {
    const store = open();
    expect(store.getState().edit(end(-100), 'the same')).toEqual([]);
    await settle();
    expect(server.seen).toEqual([]);
  });
  it('that cannot be are refused with where and why, and nothing is sent', () => {
    const [problem] = open().getState().edit(end(-900), 'too far');
    expect(problem).toEqual({ path: '/program/outputs/0/minPct', reason: 'must be at least -150' });
    expect(server.seen).toEqual([]);
  });
  it('not saved stay, whatever else succeeds, until they are', async () => {
    const store = open();
    server.down = true;
    store.getState().edit(end(-90), 'one');
    await settle();
    store.getState().edit(end(-70), 'two');
    await settle();
    expect(store.getState().unsaved).toMatchObject({ label: 'two', again: true });
    server.down = false;
    await store.getState().refresh();
    store.getState().absorb(server.view());
    expect(store.getState().unsaved).toBeDefined();
    expect(minOf(store.getState().setup)).toBe(-70);
    server.down = true;
    store.getState().retry();
    // On its way again it is no more saved than before: leaving asks.
    expect(notTaken(store.getState())).toMatchObject({ label: 'two' });
    await settle();
    expect(notTaken(store.getState())).toMatchObject({ label: 'two' });
    server.down = false;
    store.getState().retry();
    await settle();
    expect(notTaken(store.getState())).toBeUndefined();
    expect(minOf(server.view().setup)).toBe(-70);
  });
  it('not saved outlive a reload', async () => {
    server.down = true;
    open().getState().edit(end(-90), 'one');
    await settle();
    server.down = false;
    const store = open();
    expect(store.getState().unsaved).toMatchObject({ label: 'one' });
    expect(minOf(store.getState().setup)).toBe(-90);
    store.getState().retry();
    await settle();
    expect(minOf(server.view().setup)).toBe(-90);
    expect(readKept<{ unsaved?: object }>('model:m')?.unsaved).toBeUndefined();
  });
});

describe('a save that arrived, while the word of it was lost', () => {
  it.each([
    ['is no conflict with oneself when it is tried again', false, false],
    ['nor where somebody else went on from it', true, false],
    ['nor after a reload', false, true],
    ['nor after a reload where somebody else went on from it', true, true],
  ])('%s', async (_, elsewhere, reload) => {
    server.mute = true;
    const first = open();
    first.getState().edit(end(-60), 'mine');
    await settle();
    expect(first.getState().unsaved).toMatchObject({ label: 'mine', again: true });
    server.mute = false;
    if (elsewhere) server.elsewhere((s) => (s.notes = 'theirs'));
    const store = reload ? open() : first;
    store.getState().retry();
    await settle();
    expect(store.getState()).toMatchObject({
      conflict: undefined,
      unsaved: undefined,
      saving: 0,
      version: elsewhere ? 3 : 2,
    });
    const { setup } = store.getState();
    expect([minOf(setup), setup.notes]).toEqual([-60, elsewhere ? 'theirs' : '']);
    // What comes next stands on it.
    store.getState().edit(end(-70), 'next');
    await settle();
    expect(minOf(server.view().setup)).toBe(-70);
  });
});

describe('two hands on one model', () => {
  it('mine on top writes what this tab changed, and nothing else', async () => {
    const store = open();
    server.elsewhere((s) => (s.program.outputs[1]!.subtrimPct = 7));
    store.getState().edit(end(-60), 'mine');
    await settle();
    expect(store.getState().conflict).toMatchObject({ head: 2, clash: false });
    await store.getState().keepMine();
    await settle();
    const { setup } = server.view();
    expect([minOf(setup), setup.program.outputs[1]!.subtrimPct]).toEqual([-60, 7]);
    expect(store.getState()).toMatchObject({ version: 3, conflict: undefined });
  });
  it('in the same place it is said; mine on top then writes over just that', async () => {
    const store = open();
    server.elsewhere((s) => {
      s.program.outputs[0]!.minPct = -50;
      s.notes = 'theirs';
    });
    store.getState().edit(end(-60), 'mine');
    await settle();
    expect(store.getState().conflict).toMatchObject({ clash: true });
    await store.getState().keepMine();
    await settle();
    expect([minOf(server.view().setup), server.view().setup.notes]).toEqual([-60, 'theirs']);
  });
  it('taken back after mine on top, what the other had is there again', async () => {
    const store = open();
    server.elsewhere((s) => {
      s.program.outputs[0]!.minPct = -50;
      s.notes = 'theirs';
    });
    store.getState().edit(end(-60), 'mine');
    await settle();
    await store.getState().keepMine();
    await settle();
    store.getState().undo();
    await settle();
    expect([minOf(server.view().setup), server.view().setup.notes]).toEqual([-50, 'theirs']);
  });
  it('a line added in each of two tabs: both are there, under two names', async () => {
    const added = (label: string) => ({
      id: 'own-1',
      label,
      channel: 1,
      follows: { kind: 'fixed' as const },
      sharePct: 0,
      shiftPct: 0,
      effect: 'adds' as const,
    });
    const store = open();
    server.elsewhere((s) => s.program.lines.push(added('theirs')));
    store.getState().edit([{ op: 'add', path: '/program/lines/-', value: added('mine') }], 'mine');
    await settle();
    expect(store.getState().conflict).toMatchObject({ clash: false });
    await store.getState().keepMine();
    await settle();
    const own = server.view().setup.program.lines.filter((l) => l.id.startsWith('own-1'));
    expect(own.map((l) => [l.id, l.label]).toSorted()).toEqual([
      ['own-1', 'theirs'],
      ['own-1-2', 'mine'],
    ]);
  });
  it('a reload in the middle of it forgets neither side', async () => {
    const first = open();
    server.elsewhere((s) => (s.notes = 'theirs'));
    first.getState().edit(end(-60), 'mine');
    await settle();
    const store = open();
    expect(store.getState().conflict).toMatchObject({ label: 'mine', head: 2 });
    await store.getState().keepMine();
    await settle();
    expect([minOf(server.view().setup), server.view().setup.notes]).toEqual([-60, 'theirs']);
  });
  it('a page the browser had kept takes the newest in, and never an older one', () => {
    const old = server.view();
    server.elsewhere((s) => (s.notes = 'newer'));
    const store = createModelStore(old, { send: server.send, saved: () => undefined, reader });
    store.getState().absorb(server.view());
    expect(store.getState()).toMatchObject({ version: 2, setup: { notes: 'newer' } });
    store.getState().absorb(old);
    expect(store.getState().version).toBe(2);
  });
});

describe('undo', () => {
  it('takes back its own change and leaves what was saved elsewhere', async () => {
    const store = open();
    store.getState().edit(end(-60), 'mine');
    await settle();
    server.elsewhere((s) => (s.notes = 'theirs'));
    await store.getState().refresh();
    store.getState().undo();
    await settle();
    expect([minOf(server.view().setup), server.view().setup.notes]).toEqual([-100, 'theirs']);
  });
  it('says so where its place was changed elsewhere since', async () => {
    const store = open();
    store.getState().edit(end(-60), 'mine');
    await settle();
    server.elsewhere((s) => (s.program.outputs[0]!.minPct = -40));
    await store.getState().refresh();
    store.getState().undo();
    await settle();
    expect(minOf(server.view().setup)).toBe(-40);
    expect(store.getState().notice?.words).toContain('“mine” cannot be taken back');
  });
  it('outlives a reload', async () => {
    open().getState().edit(end(-60), 'mine');
    await settle();
    const store = open();
    store.getState().undo();
    await settle();
    expect(minOf(server.view().setup)).toBe(-100);
  });
});

describe('answers', () => {
  const answer = (store: ReturnType<typeof open>, seen: 'up' | 'down', surface = 'aileron-left') =>
    store.getState().observe({ check: 'stick-roll', surface }, seen, `${surface} ${seen}`);
  const shown = (store: ReturnType<typeof open>) =>
    store.getState().evidence.map((e) => `${e.surface} ${e.seen}`);

  it('are shown at once, sent in order, the newest of a subject counting', async () => {
    let release!: () => void;
    server.held = new Promise((resolve) => (release = resolve));
    const store = open();
    void answer(store, 'down', 'aileron-right');
    void answer(store, 'up');
    void answer(store, 'down');
    expect(shown(store)).toEqual(['aileron-right down', 'aileron-left down']);
    release();
    await settle();
    expect(server.seen).toEqual(['POST /observations', 'POST /observations']);
    expect(shown(store)).toEqual(['aileron-right down', 'aileron-left down']);
    expect(store.getState().answers).toEqual([]);
  });
  it('two that both fail are both taken off the screen, and offered again', async () => {
    const store = open();
    server.down = true;
    void answer(store, 'down', 'aileron-right');
    await answer(store, 'up');
    await settle();
    expect(shown(store)).toEqual([]);
    expect(store.getState().answers.map((a) => a.state)).toEqual(['failed', 'failed']);
    server.down = false;
    store.getState().retry();
    await settle();
    expect(shown(store)).toEqual(['aileron-right down', 'aileron-left up']);
  });
  it('name the version that was on the screen, an edit on its way included', async () => {
    const store = open();
    store.getState().edit(end(-90), 'before it');
    void answer(store, 'up');
    store.getState().edit(end(-80), 'after it');
    await settle();
    expect(server.view().evidence.map((e) => e.version)).toEqual([2]);
  });
  it('given before a change reach the server before it, however quick the change', async () => {
    const store = open();
    server.changed = ['the mounting'];
    void store.getState().observe({ check: 'stick-roll', surface: 'aileron-left' }, 'up');
    store.getState().edit(end(-90), 'one');
    void store.getState().observe({ check: 'stick-roll', surface: 'aileron-right' }, 'up');
    store.getState().edit(end(-80), 'two');
    await settle();
    expect(server.seen).toEqual([
      'POST /observations',
      'PUT /setup',
      'POST /observations',
      'PUT /setup',
    ]);
    expect(store.getState().answers).toEqual([]);
    expect(server.view().evidence.map((e) => e.version)).toEqual([1, 2]);
  });
  it('refused because something changed are a choice: look again, or keep for then', async () => {
    const store = open();
    server.elsewhere((s) => (s.program.outputs[0]!.reversed = true));
    server.changed = ['the reversal of channel 1'];
    await answer(store, 'up');
    await settle();
    const [refused] = store.getState().answers;
    expect(refused).toMatchObject({ state: 'refused', version: 1, changed: server.changed });
    expect(store.getState().version).toBe(2);
    expect(shown(store)).toEqual([]);
    store.getState().keepAnswer(refused!);
    await settle();
    expect(server.view().evidence).toMatchObject([{ version: 1, seen: 'up' }]);
    expect(store.getState().answers).toEqual([]);
  });
  it('not kept when the page was left are sent by themselves when it is back', async () => {
    server.down = true;
    await answer(open(), 'up');
    await settle();
    const still = open();
    await settle();
    expect(still.getState().answers).toMatchObject([{ state: 'failed', words: 'aileron-left up' }]);
    server.down = false;
    const store = open();
    await settle();
    expect(store.getState().answers).toEqual([]);
    expect(shown(store)).toEqual(['aileron-left up']);
    expect(server.view().evidence).toMatchObject([{ seen: 'up' }]);
  });
  it('not kept yet hold back what is worked out from them', async () => {
    const store = open();
    server.down = true;
    await answer(store, 'up');
    expect(await store.getState().applyRemedy()).toBe(false);
    expect(store.getState().notice?.words).toContain('an answer before it is not kept yet');
    expect(server.seen.filter((s) => s.includes('remedy'))).toEqual([]);
    server.down = false;
    expect(await store.getState().applyRemedy()).toBe(true);
    expect(server.view().evidence).toMatchObject([{ seen: 'up' }]);
  });
});

it('nothing the server does by itself overtakes a save that is still open', async () => {
  const store = open();
  server.down = true;
  store.getState().edit(end(-60), 'mine');
  await settle();
  server.down = false;
  expect(await store.getState().happened('crash', 'Crash', '')).toBe(false);
  expect(store.getState().notice?.words).toContain('not saved yet');
  expect(server.seen).toEqual(['PUT /setup']);
});

describe('before what reads a change is there', () => {
  it('nothing is changed, and what was left open is neither lost nor written over', async () => {
    const before = open();
    server.down = true;
    before.getState().edit(end(-80), 'left open');
    await settle();
    expect(before.getState().unsaved).toBeDefined();

    server.down = false;
    let arrive: (r: typeof reader) => void = () => undefined;
    const late = createModelStore(server.view(), {
      send: server.send,
      saved: () => undefined,
      reader: new Promise((resolve) => (arrive = resolve)),
    });
    expect(late.getState().edit(end(-70), 'too early')).toEqual([
      { path: '', reason: 'This page is still being loaded. Try again in a moment.' },
    ]);
    await late.getState().refresh();
    expect(minOf(late.getState().setup)).toBe(minOf(server.view().setup));
    arrive(reader);
    await settle();
    expect(minOf(late.getState().setup)).toBe(-80);
    expect(late.getState().unsaved).toMatchObject({ label: 'left open' });
  });
});
