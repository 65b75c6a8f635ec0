import { describe, expect, it } from 'vitest';
import { makeSetup } from '../../../tests/kit/setups';
import { UNITS } from '../catalogue';
import { writeWishes } from '../plan';
import { parseSetup, type Setup } from '../setup';
import { findingsOf } from '../verify';
import { edgeRead, edgesToRead, withEdges } from './index';

const edges = (setup: Setup) => {
  const select = setup.unit.traits.modeSelect;
  return select.by === 'bands' ? select.bands.slice(1).map((b) => b.fromUs) : [];
};

describe('where the modes change, read by hand', () => {
  it.each([
    [1340, 1348, { us: 1344, withinUs: 9 }],
    [1348, 1340, { us: 1344, withinUs: 9 }],
    [1500, 1500, { us: 1500, withinUs: 5 }],
    [1500, 1561, '61 µs apart: turn more slowly, both ways again'],
  ])('up %i, back %i', (upUs, downUs, comes) => {
    expect(edgeRead({ upUs, downUs })).toEqual(comes);
  });

  it('says how: the channel, a knob nothing uses, and what shows each edge', () => {
    const toRead = edgesToRead(makeSetup())!;
    expect(toRead).toEqual({
      channel: 6,
      knob: 'Knob 2',
      hold: 'Raise the left wing by about 30° and hold it there.',
      edges: [
        {
          below: 'off',
          above: 'rate',
          nowUs: 1333,
          sign: 'the light changes: dark, then green, 1 blink',
        },
        {
          below: 'rate',
          above: 'level',
          nowUs: 1667,
          sign: 'the light changes: green, 1 blink, then blue, 1 blink',
        },
      ],
    });
    const dark = makeSetup();
    dark.unit.traits.lights = [];
    expect(edgesToRead(dark)!.edges.map((e) => e.sign)).toEqual([
      'the left aileron answers when the model is rocked, on one side of the edge only',
      'the left aileron moves, with the model held tilted',
    ]);
  });

  it.each(Object.keys(UNITS))('%s: read where there are bands of one channel', (name) => {
    const kind = name.startsWith('steering') ? 'car' : 'conventional';
    const setup = makeSetup(kind, name, kind === 'car' ? 'surface-four' : undefined);
    const select = setup.unit.traits.modeSelect;
    const toRead = edgesToRead(setup);
    if (select.by !== 'bands') {
      expect(toRead).toBeUndefined();
      return;
    }
    const moved = withEdges(
      setup,
      edges(setup).map((us) => ({ us: us + 20, withinUs: 8 })),
    ) as Setup;
    expect(parseSetup(moved)).toMatchObject({ ok: true });
    expect(edges(moved)).toEqual(edges(setup).map((us) => us + 20));
    expect(moved.unit.traits.modeSelect).toMatchObject({ withinUs: 8 });
  });

  it('refuses edges that do not rise', () => {
    expect(
      withEdges(makeSetup(), [
        { us: 1700, withinUs: 5 },
        { us: 1500, withinUs: 5 },
      ]),
    ).toBe('1700 and 1500 µs: the band of rate damping would be empty');
  });

  it('the planner keeps clear of an edge by as much as it may be off, and the claim asks for that', () => {
    // Further than anything drifts from where the edge was read; but the edge may be twelve off.
    const near = makeSetup();
    const middle = near.transmitter.pulse.centreUs;
    const read = withEdges(near, [{ us: middle - 50, withinUs: 12 }, undefined]) as Setup;
    const exact = withEdges(near, [{ us: middle - 50, withinUs: 0 }, undefined]) as Setup;
    const said = (setup: Setup) => findingsOf(setup).filter((f) => f.rule === 'M49');
    expect(said(exact)).toEqual([]);
    expect(said(read).map((f) => f.says)).toEqual([
      '1500 µs on the mode channel is 50 µs from the edge of rate damping, which is known to ±12 µs.',
    ]);
    const planned = writeWishes(read, read.intents.program);
    expect(planned).toMatchObject({ ok: true });
    if (planned.ok) expect(said(planned.setup)).toEqual([]);
  });
});
