import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { makeSetup } from '../../../tests/kit/setups';
import { compileChain } from '../chain';
import { applyPatch, type PatchOperation } from '../patch';
import { parseSetup, type Condition, type Logic, type Setup } from '../setup';
import { findingsOf } from '../verify';
import {
  addEntry,
  atomKey,
  atomsFor,
  changeOutput,
  conditionOf,
  freshLogic,
  putEntry,
  putFailsafe,
  removeEntry,
  termsOf,
  type Terms,
} from './index';

function after(setup: Setup, patch: readonly PatchOperation[]): Setup {
  const read = parseSetup(applyPatch(setup, patch));
  if (!read.ok) throw new Error(read.problems.map((p) => `${p.path} ${p.reason}`).join('; '));
  return read.value;
}

const OPS: readonly Logic['op'][] = [
  'when',
  'near',
  'greater',
  'latch',
  'edge',
  'delay',
  'toggles',
];

describe('conditions put together by hand', () => {
  const atoms = atomsFor(makeSetup());
  it('are each position of each switch and each logic, but not the logic itself', () => {
    const setup = after(
      makeSetup(),
      addEntry(makeSetup(), 'logic', freshLogic(makeSetup(), 'when', 'mine')!),
    );
    const mine = setup.program.logic.at(-1)!.id;
    expect(atomsFor(setup).map(atomKey)).toContain(`logic ${mine}`);
    expect(atomsFor(setup, { kind: 'logic', id: mine }).map(atomKey)).not.toContain(
      `logic ${mine}`,
    );
  });
  it('come apart and together again as they were', () => {
    const term = fc.record({ of: fc.constantFrom(...atoms), not: fc.boolean() });
    fc.assert(
      fc.property(fc.constantFrom('all', 'any'), fc.array(term, { maxLength: 8 }), (by, terms) => {
        const condition = conditionOf({ by, terms });
        const back = termsOf(condition)!;
        expect(back.terms).toEqual(terms);
        expect(conditionOf(back)).toEqual(condition);
      }),
    );
  });
  it('nested deeper are left alone', () => {
    const [a, b] = atoms as [Condition, Condition];
    const deep: Condition = { kind: 'all', of: [a, { kind: 'any', of: [a, b] }] };
    expect(termsOf(deep)).toBeUndefined();
    expect(termsOf({ kind: 'not', of: deep })).toBeUndefined();
    expect(termsOf(undefined)).toEqual<Terms>({ by: 'all', terms: [] });
  });
});

describe('entries changed by hand', () => {
  it.each(OPS)('fresh logic "%s" can be read, does nothing yet, and goes again', (op) => {
    const setup = makeSetup();
    const fresh = freshLogic(setup, op, 'Mine')!;
    const with1 = after(setup, addEntry(setup, 'logic', fresh));
    const with2 = after(with1, addEntry(with1, 'logic', fresh));
    expect(new Set(with2.program.logic.map((l) => l.id)).size).toBe(with2.program.logic.length);
    expect(findingsOf(with2)).toEqual(findingsOf(setup));
    const { id } = with1.program.logic.at(-1)!;
    expect(after(with1, removeEntry(with1, 'logic', id))).toEqual(setup);
  });
  it('what is read cannot be taken out, and it is said who reads it', () => {
    const setup = makeSetup();
    const input = setup.program.inputs[0]!;
    const read = parseSetup(applyPatch(setup, removeEntry(setup, 'inputs', input.id)));
    expect(!read.ok && read.problems[0]).toMatchObject({
      path: expect.stringMatching(/^\/program\/lines\/\d+\/follows\/id$/) as string,
      reason: `there is no input "${input.id}"`,
    });
  });
  it('an entry of a wish is the person’s once it is changed', () => {
    const setup = makeSetup();
    const input = setup.program.inputs[0]!;
    const next = after(setup, putEntry(setup, 'inputs', { ...input, label: 'Mine' }));
    expect(next.program.inputs[0]).not.toHaveProperty('owner');
    expect(next.program.inputs[0]).toMatchObject({ id: input.id, label: 'Mine' });
  });
  it('ends and presets are what the chain sends', () => {
    const setup = makeSetup();
    const { channel } = setup.program.outputs.find((o) => o.carries === 'elevator')!;
    const next = after(
      after(setup, changeOutput(setup, channel, { reversed: true, maxPct: 50 })),
      putFailsafe(setup, channel, 'preset', 40),
    );
    const chain = compileChain(next);
    const stimulus = { ...chain.restStimulus(), linkUp: true };
    const frame = chain.newFrame();
    chain.step(stimulus, chain.newMemory(), frame);
    const lost = chain.newFrame();
    chain.step({ ...stimulus, linkUp: false }, chain.newMemory(), lost);
    const { centreUs, usAt100 } = next.transmitter.pulse;
    expect(lost.receivedUs[channel - 1]).toBeCloseTo(centreUs + 0.4 * usAt100, 6);
    const at = next.transmitter.controls.findIndex((c) => c.hand === 'elevator');
    stimulus.controls[at] = -100;
    chain.step(stimulus, chain.newMemory(), frame);
    expect(frame.sentUs[channel - 1]).toBeCloseTo(centreUs + 0.5 * usAt100, 6);
  });
});
