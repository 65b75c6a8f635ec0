import { describe, expect, it } from 'vitest';
import { parseSetup, type Setup } from '@/core/setup';
import type { ModelView } from '@/server/models';
import { makeSetup } from '../../../tests/kit/setups';
import { editsOf } from './edits';
import type { Edit, ModelState } from './modelState';
import type { Reply } from './send';

const START = makeSetup();
const named = (name: string, from: Setup = START): Setup => ({ ...from, name });
const viewOf = (setup: Setup, version: number): ModelView => ({
  id: 'm',
  version,
  setup,
  evidence: [],
});

/** A tab round edits, and a server that does what the test says. */
function tab() {
  const around = {
    state: { unsaved: undefined, conflict: undefined } as Partial<ModelState>,
    confirmed: viewOf(START, 1),
    theirs: viewOf(START, 1),
    sent: [] as { basedOn: number; label: string }[],
    kept: [] as Edit[],
    /** What the next saves are answered with; then they go through. */
    fails: [] as Reply<ModelView>[],
  };
  const edits = editsOf({
    get: () => around.state as ModelState,
    set: (state) => Object.assign(around.state, state),
    ask: {
      put: (body) => {
        const { basedOn, label, setup } = body as { basedOn: number; label: string; setup: Setup };
        around.sent.push({ basedOn, label });
        return Promise.resolve(
          around.fails.shift() ?? { ok: true, value: viewOf(setup, basedOn + 1) },
        );
      },
      get: () => Promise.resolve({ ok: true, value: around.theirs }),
    },
    confirmed: () => around.confirmed,
    parse: parseSetup,
    kept(edit, next) {
      around.kept.push(edit);
      around.confirmed = next;
    },
    shown: () => undefined,
    persist: () => undefined,
    before: () => Promise.resolve(),
  });
  return { around, edits };
}
const down: Reply<ModelView> = { ok: false, status: 0, problems: [{ path: '', reason: 'no' }] };

describe('edits of a tab', () => {
  it('are on the screen at once and saved one after another, each on the one before', async () => {
    const { around, edits } = tab();
    void edits.save(named('One'), 'first');
    const both = edits.save(named('Two'), 'second');
    expect([around.state.setup!.name, around.state.saving, edits.newest()!.label]).toEqual([
      'Two',
      2,
      'second',
    ]);
    await both;
    expect(around.sent).toEqual([
      { basedOn: 1, label: 'first' },
      { basedOn: 2, label: 'second' },
    ]);
    expect([edits.underway(), around.state.saving]).toEqual([false, 0]);
  });
  it('one that fails waits, says whether trying again may help, and later ones join it', async () => {
    const { around, edits } = tab();
    around.fails = [down];
    await edits.save(named('One'), 'first');
    expect(around.state.unsaved).toMatchObject({ label: 'first', reason: 'no', again: true });
    await edits.save(named('Two'), 'second');
    expect(around.state.unsaved).toMatchObject({ label: 'second', again: true });
    expect(around.state.unsaved!.setup.name).toBe('Two');
    expect([around.sent.length, around.kept]).toEqual([1, []]);
  });
  it('a save between is met: both are kept, and whether they clash is said', async () => {
    const late: Reply<ModelView> = { ok: false, status: 409, head: 5, problems: [] };
    const { around, edits } = tab();
    around.fails = [late];
    around.theirs = viewOf({ ...START, notes: 'theirs' }, 5);
    await edits.save(named('Mine'), 'mine');
    expect(around.state.conflict).toMatchObject({ label: 'mine', head: 5, clash: false });
    expect(edits.merged(around.theirs.setup, named('Mine'))).toMatchObject({
      name: 'Mine',
      notes: 'theirs',
    });
    const other = tab();
    other.around.fails = [late];
    other.around.theirs = viewOf(named('Theirs'), 5);
    await other.edits.save(named('Mine'), 'mine');
    expect(other.around.state.conflict).toMatchObject({ clash: true });
    // Put on top all the same, mine is what stands there.
    expect(other.edits.merged(named('Theirs'), named('Mine'), true)!.name).toBe('Mine');
  });
  it('what comes of two is no Setup any more: they are not merged', () => {
    const { edits } = tab();
    const broken = { ...START, program: { ...START.program, inputs: [] } };
    expect(edits.merged(named('Theirs'), broken)).toBeUndefined();
  });
});
