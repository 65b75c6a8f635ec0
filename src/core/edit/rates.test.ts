import { describe, expect, it } from 'vitest';
import { makeSetup } from '../../../tests/kit/setups';
import { applyPatch } from '../patch';
import { parseSetup, type Input, type Setup } from '../setup';
import { putEntry } from './entries';
import { withMoreRate, withRateWhen } from './rates';

const start = makeSetup();
const [first] = start.program.inputs;
const put = (rates: Input['rates']) => {
  const read = parseSetup(applyPatch(start, putEntry(start, 'inputs', { ...first!, rates })));
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return read.value.program.inputs[0]!.rates;
};
const when = { kind: 'switch', control: 'sd', position: 2 } as const;

describe('a second rate', () => {
  it('the rate first: it waits for a switch that nothing else of the stick waits for', () => {
    const rates = put(withMoreRate(start, first!)!);
    expect(rates).toHaveLength(2);
    expect(rates[0]).toMatchObject({ when: { kind: 'switch' } });
    expect(rates[0]).not.toHaveProperty('owner');
    expect(rates[1]!.when).toBeUndefined();
    const third = put(withMoreRate(start, { ...first!, rates })!);
    expect(third).toHaveLength(3);
    expect(third[0]!.when).not.toEqual(third[1]!.when);
  });
  it('the condition first: behind it comes the same for all other places', () => {
    const rates = put(withRateWhen(first!.rates, 0, when));
    const { owner: _, ...plain } = first!.rates[0]!;
    expect(rates).toEqual([{ ...plain, when }, plain]);
  });
  it('another condition for the first of two leaves the other as it is', () => {
    const two = put(withMoreRate(start, first!)!);
    const rates = put(withRateWhen(two, 0, when));
    expect(rates[0]!.when).toEqual(when);
    expect(rates[1]).toEqual(two[1]);
  });
  it('cannot be had without a switch', () => {
    const bare: Setup = structuredClone(start);
    bare.transmitter.controls = bare.transmitter.controls.filter((c) => c.kind === 'stick');
    expect(withMoreRate(bare, first!)).toBeUndefined();
  });
});
