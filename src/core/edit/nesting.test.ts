import { describe, expect, it } from 'vitest';
import { makeSetup } from '../../../tests/kit/setups';
import { compileChain } from '../chain';
import type { Line, Setup } from '../setup';
import { nestingOf } from './nesting';

describe('nesting', () => {
  it.each<[string, Line['effect'][], number[]]>([
    ['nothing', [], []],
    ['lines that only add', ['adds', 'adds'], [0, 0]],
    ['one that takes over', ['adds', 'adds', 'takes-over'], [1, 1, 0]],
    ['what adds to the one that takes over', ['adds', 'takes-over', 'adds'], [1, 0, 0]],
    ['two that take over', ['adds', 'takes-over', 'scales', 'takes-over'], [2, 1, 1, 0]],
    ['a first line that takes over', ['takes-over', 'adds'], [0, 0]],
  ])('nests %s', (_, effects, expected) => {
    expect(nestingOf(effects.map((effect) => ({ effect })))).toEqual(expected);
  });

  /** Every row of three effects, as the lines of one channel: fixed values that are always on. */
  const EFFECTS = ['adds', 'scales', 'takes-over'] as const;
  const ROWS = EFFECTS.flatMap((a) => EFFECTS.flatMap((b) => EFFECTS.map((c) => [a, b, c])));
  const sent = (effects: readonly Line['effect'][], pct: readonly number[]): number => {
    const setup = structuredClone(makeSetup()) as Setup;
    const { channel } = setup.program.outputs.find((o) => o.carries === 'gain')!;
    setup.program.lines = effects.map((effect, i) => ({
      id: `nested-${i}`,
      channel,
      follows: { kind: 'fixed' },
      sharePct: pct[i]!,
      shiftPct: 0,
      effect,
    }));
    const chain = compileChain(setup);
    const frame = chain.newFrame();
    chain.step(chain.restStimulus(), chain.newMemory(), frame);
    return frame.sentUs[channel - 1]!;
  };
  it.each(ROWS)('on the chain %s, %s, %s: only what stands outermost counts', (...effects) => {
    const nesting = nestingOf(effects.map((effect) => ({ effect })));
    const pct = [20, 30, 40];
    const before = sent(effects, pct);
    effects.forEach((_, i) => {
      const after = sent(effects, pct.with(i, pct[i]! + 7));
      if (nesting[i]! > 0) expect(after, `line ${i + 1} is taken over from`).toBe(before);
    });
    // The outermost lines count: with all of them changed another value is sent, if there is one to scale.
    if (effects.every((effect) => effect === 'scales')) return;
    const outer = pct.map((p, i) => (nesting[i] === 0 ? p + 7 : p));
    expect(sent(effects, outer)).not.toBe(before);
  });
});
