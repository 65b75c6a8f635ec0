import { describe, expect, it } from 'vitest';
import { randomOf } from '../../../tests/kit/random-program';
import { makeSetup } from '../../../tests/kit/setups';
import { FULL, SEED } from '../../../tests/kit/share';
import { positionsOf, switchValue } from '../chain';
import { monitorOf, type Hands, type Monitor } from '../sheets';
import { parseSetup, type Condition, type Line, type Setup } from '../setup';
import { infer, type Reading } from './index';

const BASE = makeSetup();
const USED = ['sa', 'sb', 'sg'] as const;
const FREE = ['k1', 'k2', 'stick-elevator'] as const;

/** A transmitter whose first channels do just what these lines say. */
function withLines(lines: readonly Line[], shapes: Setup['program']['shapes'] = []): Setup {
  const setup = structuredClone(BASE);
  const channels = new Set(lines.map((l) => l.channel));
  setup.program.lines = [...lines];
  setup.program.shapes = [...shapes];
  setup.program.logic = [];
  setup.program.callouts = [];
  setup.program.timers = [];
  setup.program.inputs = setup.program.inputs.map((i) => ({ ...i, rates: i.rates.slice(0, 1) }));
  for (const o of setup.program.outputs)
    if (channels.has(o.channel))
      Object.assign(o, { reversed: false, subtrimPct: 0, minPct: -100, maxPct: 100 });
  const read = parseSetup(setup);
  if (!read.ok) throw new Error(read.problems.map((p) => `${p.path} ${p.reason}`).join('; '));
  return read.value;
}

/** A small program of one channel, by dice: fixed, a share of one or two hands, split by one switch or two. */
function small(random: () => number): Line[] {
  const int = (a: number, b: number) => a + Math.floor(random() * (b - a + 1));
  const pick = <T>(list: readonly T[]): T => list[int(0, list.length - 1)]!;
  const switches = [...USED].toSorted(() => random() - 0.5).slice(0, pick([0, 0, 1, 1, 2]));
  const { controls } = BASE.transmitter;
  const kindOf = (id: string) => controls.find((c) => c.id === id)!.kind;
  const lines: Line[] = [];
  const places = switches.map((s) => positionsOf(kindOf(s)));
  const count = places.reduce((a, b) => a * b, 1);
  for (let n = 0; n < count; n++) {
    const conditions = switches.map((control, k): Condition => {
      const before = places.slice(0, k).reduce((a, b) => a * b, 1);
      return { kind: 'switch', control, position: Math.floor(n / before) % places[k]! };
    });
    const when =
      conditions.length === 0
        ? {}
        : {
            when:
              conditions.length === 1 ? conditions[0]! : { kind: 'all' as const, of: conditions },
          };
    const terms = [...FREE].toSorted(() => random() - 0.5).slice(0, pick([0, 1, 1, 2]));
    const base = { channel: 1, shiftPct: 0, ...when };
    if (terms.length === 0)
      lines.push({
        ...base,
        id: `l-${n}`,
        follows: { kind: 'fixed' },
        sharePct: int(-100, 100),
        effect: 'takes-over',
      });
    terms.forEach((id, k) =>
      lines.push({
        ...base,
        id: `l-${n}-${k}`,
        follows: { kind: 'control', id },
        sharePct: pick([-40, -30, 20, 25, 40]),
        shiftPct: k === 0 ? int(-20, 20) : 0,
        effect: k === 0 ? 'takes-over' : 'adds',
      }),
    );
  }
  return lines;
}

const readBy =
  (monitor: Monitor) =>
  (hands: Hands): Reading => ({
    controls: hands,
    channels: [Math.round(monitor.read(1, hands).pct)],
  });

/** At every place of every switch: at rest, and each free hand at two places; five readings a place, of two that are the fewest. */
function readings(setup: Setup): Reading[] {
  const { controls } = setup.transmitter;
  const read = readBy(monitorOf(setup));
  const places = USED.map((id) => {
    const { kind } = controls.find((c) => c.id === id)!;
    return Array.from({ length: positionsOf(kind) }, (_, p) => switchValue(kind, p));
  });
  return places[0]!.flatMap((a) =>
    places[1]!.flatMap((b) =>
      places[2]!.flatMap((c) => {
        const at = { sa: a, sb: b, sg: c };
        return [
          read(at),
          ...FREE.flatMap((id) => [read({ ...at, [id]: 100 }), read({ ...at, [id]: -60 })]),
        ];
      }),
    ),
  );
}

describe('a program from what the monitor shows', () => {
  // Five hundred on a full run, a share of them otherwise.
  const MANY = FULL ? 500 : 40;
  it(`${MANY} small programs by dice: nineteen in twenty come out the same on the chain, at hands never read`, () => {
    const random = randomOf(500 + SEED);
    let same = 0;
    for (let i = 0; i < MANY; i++) {
      const setup = withLines(small(random));
      const found = infer(setup.transmitter, readings(setup));
      if (!found.ok) continue;
      const [channel] = found.channels;
      const again = withLines(channel!.lines, channel!.shapes);
      const [was, is] = [monitorOf(setup), monitorOf(again)];
      const alike = Array.from({ length: 12 }, () => {
        const hands: Record<string, number> = {};
        for (const id of USED) hands[id] = [-100, 0, 100][Math.floor(random() * 3)]!;
        if (hands.sg === 0) hands.sg = 100;
        for (const id of FREE) hands[id] = Math.round(random() * 200 - 100);
        return Math.abs(was.read(1, hands).pct - is.read(1, hands).pct);
      }).every((off) => off <= 1.5);
      if (alike) same++;
    }
    expect(same).toBeGreaterThanOrEqual(0.95 * MANY);
  });
  it('a curve comes out as a shape through what was read', () => {
    const { transmitter } = makeSetup();
    const points = [
      [-100, 0],
      [-50, 50],
      [0, 60],
      [100, 100],
    ] as const;
    const found = infer(
      transmitter,
      points.map(([k1, value]) => ({ controls: { k1 }, channels: [value] })),
    );
    if (!found.ok) throw new Error('not found');
    const again = withLines(found.channels[0]!.lines, found.channels[0]!.shapes);
    for (const [k1, value] of points)
      expect(monitorOf(again).read(1, { k1 }).pct).toBeCloseTo(value, 1);
  });
  it('the simplest that fits: one line where one will do, no switch that changes nothing', () => {
    const { transmitter } = makeSetup();
    const found = infer(transmitter, [
      { controls: { sa: -100 }, channels: [20, 0] },
      { controls: { sa: 100 }, channels: [20, 50] },
      { controls: { sa: 0, k1: 100 }, channels: [20, 25] },
    ]);
    expect(found.channels[0]!.lines).toEqual([
      expect.objectContaining({ follows: { kind: 'fixed' }, sharePct: 20 }),
    ]);
    expect(found.channels[0]!.lines[0]).not.toHaveProperty('when');
    // Three readings leave more than one program of that size: none of them is taken.
    expect(found).toMatchObject({ ok: false, unsettled: [{ channel: 2 }] });
  });
  it('two readings of the same hands that differ: which two, and where', () => {
    const { transmitter } = makeSetup();
    expect(
      infer(transmitter, [
        { controls: { k1: 100 }, channels: [10] },
        { controls: { k1: 0 }, channels: [0] },
        { controls: { k1: 100 }, channels: [40] },
      ]),
    ).toMatchObject({
      ok: false,
      unexplained: [],
      unsettled: [],
      channels: [],
      contradictions: [
        {
          channel: 1,
          first: 0,
          second: 2,
          says: 'Readings 1 and 3 have the controls in the same positions, but channel 1 shows 10 % in one and 40 % in the other.',
        },
      ],
    });
  });
  it('says what stays open, and the reading that would tell', () => {
    const { transmitter } = makeSetup();
    const two = infer(transmitter, [
      { controls: { k1: 100 }, channels: [50] },
      { controls: { k1: -100 }, channels: [-50] },
    ]);
    expect(two.unread).toContain('Switch A middle');
    expect(two.channels[0]!.open).toEqual([
      'Knob 1 was read in two positions: one more between them shows whether it is a straight line.',
    ]);
    const gap = infer(transmitter, [
      { controls: { sa: -100 }, channels: [10] },
      { controls: { sa: 100 }, channels: [90] },
    ]);
    expect(gap.unsettled[0]!.says).toMatch(/Nothing was read with Switch A at 0 %: read one row/);
  });
  it('what no simple program gives is said, not made up', () => {
    const { transmitter } = makeSetup();
    const random = randomOf(3);
    const wild = Array.from({ length: 40 }, () => ({
      controls: {
        k1: random() * 200 - 100,
        k2: random() * 200 - 100,
        'stick-elevator': random() * 200 - 100,
      },
      channels: [random() * 200 - 100],
    }));
    expect(infer(transmitter, wild)).toMatchObject({ ok: false, unexplained: [1] });
  });
});
