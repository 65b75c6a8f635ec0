import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { compileChain } from '@/core/chain';
import {
  parseSetup,
  type Condition,
  type Line,
  type Logic,
  type Setup,
  type Source,
} from '@/core/setup';
import { Oracle } from '../kit/oracle';
import { makeSetup } from '../kit/setups';

const base = makeSetup();
const SWITCHES = base.transmitter.controls.filter(
  (c) => c.kind.startsWith('switch') || c.kind === 'momentary',
);
const VALUED = base.transmitter.controls.map((c) => c.id);

const pct = fc.integer({ min: -120, max: 120 });
const logicIds = ['a', 'b', 'c', 'd'];

/** Conditions may look at logic defined before them only, so that no circle can arise. */
const conditionUpTo = (known: readonly string[]): fc.Arbitrary<Condition> => {
  const sw: fc.Arbitrary<Condition> = fc
    .constantFrom(...SWITCHES)
    .chain((c) =>
      fc
        .integer({ min: 0, max: c.kind === 'switch-3' ? 2 : 1 })
        .map((position) => ({ kind: 'switch', control: c.id, position })),
    );
  const leaf: fc.Arbitrary<Condition> =
    known.length > 0
      ? fc.oneof(
          sw,
          fc.constantFrom(...known).map((id): Condition => ({ kind: 'logic', id })),
        )
      : sw;
  const list = fc.array(leaf, { minLength: 1, maxLength: 3 });
  return fc.oneof(
    leaf,
    leaf.map((of): Condition => ({ kind: 'not', of })),
    list.map((of): Condition => ({ kind: 'all', of })),
    list.map((of): Condition => ({ kind: 'any', of })),
  );
};
const sourceUpTo = (channel: number): fc.Arbitrary<Source> =>
  fc.oneof(
    fc.constantFrom(...VALUED).map((id): Source => ({ kind: 'control', id })),
    fc.constantFrom('aileron', 'elevator').map((id): Source => ({ kind: 'input', id })),
    fc.constant<Source>({ kind: 'variable', id: 'v' }),
    fc.constant<Source>({ kind: 'fixed' }),
    ...(channel > 1
      ? [
          fc
            .integer({ min: 1, max: channel - 1 })
            .map((c): Source => ({ kind: 'channel', channel: c })),
        ]
      : []),
  );
/** Logic reads nothing that has logic in it: the aileron input has, by its rate. */
const plainSource: fc.Arbitrary<Source> = fc.oneof(
  fc.constantFrom(...VALUED).map((id): Source => ({ kind: 'control', id })),
  fc.constant<Source>({ kind: 'input', id: 'elevator' }),
  fc.constant<Source>({ kind: 'variable', id: 'v' }),
);
const logicAt = (i: number): fc.Arbitrary<Logic> => {
  const id = logicIds[i]!;
  const head = { id, label: id };
  const c = conditionUpTo(logicIds.slice(0, i));
  const s = fc.constantFrom(0.2, 0.5, 1);
  return fc.oneof(
    fc
      .record({ follows: plainSource, valuePct: pct, withinPct: fc.integer({ min: 0, max: 60 }) })
      .map((r): Logic => ({ ...head, op: 'near', ...r })),
    fc
      .record({ follows: plainSource, valuePct: pct })
      .map((r): Logic => ({ ...head, op: 'greater', ...r })),
    c.map((when): Logic => ({ ...head, op: 'when', when })),
    fc.tuple(c, c).map(([set, reset]): Logic => ({ ...head, op: 'latch', set, reset })),
    c.map((of): Logic => ({ ...head, op: 'edge', of })),
    fc.tuple(c, s, s).map(([of, onS, offS]): Logic => ({ ...head, op: 'delay', of, onS, offS })),
    fc
      .tuple(c, fc.integer({ min: 1, max: 3 }), s)
      .map(([of, count, withinS]): Logic => ({ ...head, op: 'toggles', of, count, withinS })),
  );
};
const line = (channel: number, n: number): fc.Arbitrary<Line> =>
  fc
    .record({
      follows: sourceUpTo(channel),
      sharePct: pct,
      shiftPct: pct,
      effect: fc.constantFrom('adds', 'scales', 'takes-over'),
      when: fc.option(conditionUpTo(logicIds), { nil: undefined }),
      shape: fc.option(fc.constant('bend'), { nil: undefined }),
    })
    .map(({ when, shape, ...rest }): Line => ({
      id: `x${channel}-${n}`,
      channel,
      ...rest,
      ...(when ? { when } : {}),
      ...(shape ? { shape } : {}),
    }));

const program: fc.Arbitrary<Setup> = fc
  .record({
    logic: fc.tuple(...logicIds.map((_, i) => logicAt(i))),
    lines: fc.tuple(...[1, 2, 3, 4].flatMap((c) => [line(c, 1), line(c, 2)])),
    rateWhen: conditionUpTo(logicIds),
    weights: fc.tuple(fc.integer({ min: 0, max: 120 }), fc.integer({ min: -100, max: 100 })),
  })
  .map(({ logic, lines, rateWhen, weights }) => ({
    ...base,
    program: {
      ...base.program,
      logic,
      lines,
      shapes: [
        {
          id: 'bend',
          label: 'Bend',
          points: [
            { inPct: -80, outPct: 10 },
            { inPct: 0, outPct: -30 },
            { inPct: 70, outPct: 90 },
          ],
        },
      ],
      variables: [
        { id: 'v', label: 'V', valuePct: 30, adjust: { control: 'trim-rudder', rangePct: 20 } },
      ],
      inputs: base.program.inputs.map((input) =>
        input.id === 'aileron'
          ? {
              ...input,
              rates: [
                { when: rateWhen, sharePct: weights[0], expoPct: weights[1] },
                { sharePct: 70, expoPct: 30 },
              ],
            }
          : input,
      ),
    },
  }));

const frames = fc.array(
  fc.record({
    values: fc.array(fc.constantFrom(-100, -60, 0, 40, 100), {
      minLength: VALUED.length,
      maxLength: VALUED.length,
    }),
    dt: fc.constantFrom(0, 0.1, 0.3, 0.6),
  }),
  { minLength: 1, maxLength: 8 },
);

describe('compiled evaluator and plain tree walk', () => {
  it('agree on thousands of random programs, frame after frame', () => {
    let compared = 0;
    fc.assert(
      fc.property(program, frames, (setup, moments) => {
        const chain = compileChain(setup);
        const oracle = new Oracle(setup);
        const memory = chain.newMemory();
        const frame = chain.newFrame();
        for (const { values, dt } of moments) {
          const stimulus = chain.restStimulus();
          stimulus.controls.set(values);
          stimulus.dtS = dt;
          chain.step(stimulus, memory, frame);
          const said = oracle.step(Object.fromEntries(VALUED.map((id, i) => [id, values[i]!])), dt);
          for (const [channel, value] of said.channels)
            expect(frame.channelsPct[channel - 1]).toBeCloseTo(value, 6);
          expect([...frame.logic].map(Boolean)).toEqual(logicIds.map((id) => said.logic[id]));
          compared += 1;
        }
      }),
      { numRuns: 3000 },
    );
    expect(compared).toBeGreaterThan(3000);
  });

  it('run programs the validator accepts', () => {
    fc.assert(
      fc.property(program, (setup) => {
        expect(parseSetup(setup)).toMatchObject({ ok: true });
      }),
      { numRuns: 200 },
    );
  });
});
