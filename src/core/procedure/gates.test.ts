import { describe, expect, it } from 'vitest';
import { makeSetup } from '../../../tests/kit/setups';
import { openGates, saying, STEPS, type BenchSaid, type StepId } from './index';

const step = (id: StepId) => STEPS.find((s) => s.id === id)!;
const setup = makeSetup();
const AT = Date.parse('2026-05-01T10:00:00Z');
const at = (minutes: number) => new Date(AT + minutes * 60_000).toISOString();
const sure = (session: BenchSaid['session'], ...said: [string, number][]): BenchSaid => ({
  session,
  sure: said.map(([caution, minutes]) => ({ caution: caution as 'hold', at: at(minutes) })),
});

describe('what must be true before power or propeller', () => {
  it.each<[StepId, BenchSaid | undefined, number, string[]]>([
    ['sticks', undefined, 0, ['prop-off']],
    ['sticks', sure('prop-off', ['prop-off', 0]), 0, []],
    ['sticks', sure('prop-off', ['prop-off', 0]), 59, []],
    ['sticks', sure('prop-off', ['prop-off', 0]), 61, ['prop-off']],
    // A clock that is a little ahead is no lie; one that is far ahead says nothing.
    ['sticks', sure('prop-off', ['prop-off', 3]), 0, []],
    ['sticks', sure('prop-off', ['prop-off', 30]), 0, ['prop-off']],
    // Set up for something else: asked again.
    ['failsafe', sure('prop-off', ['prop-off', 0], ['hold', 0]), 1, ['prop-off', 'hold']],
    ['failsafe', sure('link-off', ['prop-off', 0], ['hold', 0]), 1, []],
    ['preflight', sure('prop-on', ['hold', 0]), 1, ['clear-behind']],
    ['entry', sure('prop-off', ['prop-off', 0]), 1, ['throttle-locked']],
    ['model', undefined, 0, []],
  ])('%s, %j, after %i min: %j', (id, said, minutes, open) => {
    expect(openGates(step(id), setup, said, AT + minutes * 60_000)).toEqual(open);
  });
  it('asks nothing of a model without a motor', () => {
    const glider = structuredClone(setup);
    glider.airframe.motors = [];
    for (const s of STEPS) expect(openGates(s, glider, undefined, AT)).toEqual([]);
  });
  it('said of another set-up is dropped; taken back is gone', () => {
    const first = saying(undefined, 'prop-off', 'prop-off', true, at(0));
    const both = saying(first, 'prop-off', 'throttle-locked', true, at(1));
    expect(both.sure.map((s) => s.caution)).toEqual(['prop-off', 'throttle-locked']);
    expect(saying(both, 'prop-off', 'prop-off', false, at(2)).sure).toHaveLength(1);
    expect(saying(both, 'link-off', 'hold', true, at(2))).toEqual({
      session: 'link-off',
      sure: [{ caution: 'hold', at: at(2) }],
    });
  });
});
