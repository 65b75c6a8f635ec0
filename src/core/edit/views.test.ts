import { describe, expect, it } from 'vitest';
import { PROGRAMS } from '../../../tests/kit/programs';
import { makeSetup } from '../../../tests/kit/setups';
import { compileChain, switchValue } from '../chain';
import { applyPatch, type PatchOperation } from '../patch';
import { parseSetup, type Condition, type Line, type Setup } from '../setup';
import {
  addLine,
  changeLine,
  putCell,
  putSides,
  putSwitches,
  putValue,
  sidesOf,
  valueTable,
} from './index';

function after(setup: Setup, patch: readonly PatchOperation[]): Setup {
  const read = parseSetup(applyPatch(setup, patch));
  if (!read.ok) throw new Error(read.problems.map((p) => `${p.path} ${p.reason}`).join('; '));
  return read.value;
}

/** A channel with these lines and no others. */
function withLines(lines: Omit<Line, 'channel' | 'shiftPct' | 'purpose'>[]): [Setup, number] {
  const setup = structuredClone(makeSetup());
  const channel = setup.program.outputs.find((o) => o.carries === 'mode')!.channel;
  setup.program.lines = [
    ...setup.program.lines.filter((l) => l.channel !== channel),
    ...lines.map((l): Line => ({ ...l, channel, shiftPct: 0, purpose: 'mode' })),
  ];
  return [after(setup, []), channel];
}
const at = (control: string, position: number): Condition => ({
  kind: 'switch',
  control,
  position,
});
const fixed = { kind: 'fixed' } as const;

/** A channel with switches thrown and everything else at rest, on the whole chain. */
function sent(setup: Setup, channel: number, places: Record<string, number>): number {
  const chain = compileChain(setup);
  const frame = chain.newFrame();
  const stimulus = chain.restStimulus();
  for (const [id, p] of Object.entries(places)) {
    const { kind } = setup.transmitter.controls.find((c) => c.id === id)!;
    stimulus.controls[chain.layout.controls.get(id)!] = switchValue(kind, p);
  }
  chain.step(stimulus, chain.newMemory(), frame);
  return frame.channelsPct[channel - 1]!;
}

const PLACES = [0, 1, 2].flatMap((a) => [0, 1, 2].map((b) => ({ sa: a, sb: b })));

describe('a channel as a table of values', () => {
  it.each<[string, Omit<Line, 'channel' | 'shiftPct' | 'purpose'>[], number[], number]>([
    [
      'a switch straight on it',
      [{ id: 'a', follows: { kind: 'control', id: 'sa' }, sharePct: 50, effect: 'adds' }],
      [-50, 0, 50],
      0,
    ],
    [
      'a value, and another in one place',
      [
        { id: 'a', follows: fixed, sharePct: 20, effect: 'adds' },
        { id: 'b', follows: fixed, sharePct: 90, effect: 'takes-over', when: at('sa', 2) },
      ],
      [20, 20, 90],
      0,
    ],
    [
      'two switches, one of them turned round',
      [
        { id: 'a', follows: { kind: 'control', id: 'sa' }, sharePct: 100, effect: 'adds' },
        {
          id: 'b',
          follows: fixed,
          sharePct: -30,
          effect: 'takes-over',
          when: { kind: 'not', of: at('sg', 0) },
        },
      ],
      [-100, -30, 0, -30, 100, -30],
      0,
    ],
    [
      'what turns comes after it',
      [
        { id: 'a', follows: fixed, sharePct: 40, effect: 'adds' },
        { id: 'b', follows: { kind: 'control', id: 'k1' }, sharePct: 50, effect: 'scales' },
      ],
      [40],
      1,
    ],
    [
      'a third switch stays a line',
      [
        { id: 'a', follows: { kind: 'control', id: 'sa' }, sharePct: 10, effect: 'adds' },
        { id: 'b', follows: { kind: 'control', id: 'sb' }, sharePct: 1, effect: 'adds' },
        { id: 'c', follows: { kind: 'control', id: 'sc' }, sharePct: 1, effect: 'adds' },
      ],
      [-11, -10, -9, -1, 0, 1, 9, 10, 11],
      1,
    ],
  ])('%s', (_, lines, values, rest) => {
    const [setup, channel] = withLines(lines);
    const table = valueTable(setup, channel);
    expect(table.cells.map((c) => c.pct)).toEqual(values);
    expect(table.rest).toHaveLength(rest);
  });
  it('one value is changed by the one line that gives it, and nothing else of the program', () => {
    const [setup, channel] = withLines([
      { id: 'a', follows: fixed, sharePct: 20, effect: 'adds' },
      { id: 'b', follows: fixed, sharePct: 90, effect: 'takes-over', when: at('sa', 2) },
    ]);
    const changed = after(setup, putCell(setup, channel, [2], 70));
    const wanted = structuredClone(setup);
    wanted.program.lines.find((l) => l.id === 'b')!.sharePct = 70;
    expect(changed).toEqual(wanted);
    // And set back, the file is byte for byte what it was.
    const back = after(changed, putCell(changed, channel, [2], 90));
    expect(JSON.stringify(back)).toBe(JSON.stringify(setup));
  });
  it('where one line gives several values the table is written anew, what comes after it stays', () => {
    const [setup, channel] = withLines([
      { id: 'a', follows: { kind: 'control', id: 'sa' }, sharePct: 100, effect: 'adds' },
      { id: 'b', follows: { kind: 'control', id: 'k1' }, sharePct: 50, effect: 'scales' },
    ]);
    const changed = after(setup, putCell(setup, channel, [1], 25));
    const table = valueTable(changed, channel);
    expect(table.cells.map((c) => c.pct)).toEqual([-100, 25, 100]);
    expect(table.rest.map((l) => l.id)).toEqual(['b']);
    expect(table.lines.every((l) => l.purpose === 'mode')).toBe(true);
  });
  it.each([
    ['mode', 'mode'],
    ['gain', 'gain'],
    ['throttle', 'stick'],
    ['aileron', 'stick'],
  ] as const)(
    'a new table on the %s channel is for %s: so it is known what to prove of it',
    (carries, purpose) => {
      const setup = structuredClone(makeSetup());
      const { channel } = setup.program.outputs.find((o) => o.carries === carries)!;
      setup.program.lines = setup.program.lines.filter((l) => l.channel !== channel);
      const begun = after(after(setup, []), putSwitches(setup, channel, ['sa']));
      const { lines, cells } = valueTable(begun, channel);
      expect(lines.map((l) => l.purpose)).toEqual([purpose, purpose, purpose]);
      expect(cells.map((c) => c.pct)).toEqual([0, 0, 0]);
    },
  );
  it('a value beyond what a line may have is refused by whoever reads it, and a large one is not', () => {
    const [setup, channel] = withLines([{ id: 'a', follows: fixed, sharePct: 20, effect: 'adds' }]);
    const large = after(setup, putCell(setup, channel, [], 190));
    expect(valueTable(large, channel).lines.map((l) => [l.id, l.sharePct])).toEqual([['a', 190]]);
    const patched = applyPatch(setup, putCell(setup, channel, [], 900));
    expect(parseSetup(patched).ok).toBe(false);
  });
  it('a note stays with the place its line had', () => {
    const [setup, channel] = withLines([
      { id: 'a', follows: { kind: 'control', id: 'sa' }, sharePct: 100, effect: 'adds' },
    ]);
    setup.program.lines.find((l) => l.id === 'a')!.note = 'as on the old model';
    const changed = after(setup, putCell(setup, channel, [1], 25));
    expect(valueTable(changed, channel).lines.map((l) => l.note)).toEqual([
      'as on the old model',
      undefined,
      undefined,
    ]);
  });
  it('over another switch it keeps what it was where the switches stand alike', () => {
    const [setup, channel] = withLines([
      { id: 'a', follows: { kind: 'control', id: 'sa' }, sharePct: 100, effect: 'adds' },
    ]);
    const two = after(setup, putSwitches(setup, channel, ['sa', 'sb']));
    expect(valueTable(two, channel).cells.map((c) => c.pct)).toEqual([
      -100, -100, -100, 0, 0, 0, 100, 100, 100,
    ]);
    const cell = after(two, putCell(two, channel, [1, 2], 5));
    expect(valueTable(cell, channel).cells.map((c) => c.pct)).toEqual([
      -100, -100, -100, 0, 0, 5, 100, 100, 100,
    ]);
    const wide = after(setup, putSwitches(setup, channel, ['sb']));
    expect(valueTable(wide, channel).cells.map((c) => c.pct)).toEqual([-100, -100, -100]);
  });
});

describe('a channel as mixes', () => {
  const lineOf = (setup: Setup, id: string) => setup.program.lines.find((l) => l.id === id)!;
  const [setup, channel] = withLines([
    { id: 'a', follows: { kind: 'control', id: 'k1' }, sharePct: 40, effect: 'adds' },
  ]);
  it('a share for each side is a bend in the middle, and goes again with it', () => {
    const bent = after(setup, putSides(setup, 'a', { lowPct: 20, highPct: -60 }));
    expect(sidesOf(bent, lineOf(bent, 'a'))).toEqual({ lowPct: 20, highPct: -60 });
    const read = (s: Setup, k1: number) => {
      const chain = compileChain(s);
      const frame = chain.newFrame();
      const stimulus = chain.restStimulus();
      stimulus.controls[chain.layout.controls.get('k1')!] = k1;
      chain.step(stimulus, chain.newMemory(), frame);
      return frame.channelsPct[channel - 1];
    };
    expect([-100, -50, 0, 50, 100].map((v) => read(bent, v))).toEqual([-20, -10, 0, -30, -60]);
    const other = after(bent, putSides(bent, 'a', { lowPct: 0, highPct: 80 }));
    expect(other.program.shapes).toHaveLength(bent.program.shapes.length);
    const back = after(other, putSides(other, 'a', { lowPct: 40, highPct: 40 }));
    expect(JSON.stringify(back)).toBe(JSON.stringify(setup));
  });
  it('a curve that something else reads is left alone', () => {
    const bent = after(setup, putSides(setup, 'a', { lowPct: 20, highPct: 60 }));
    const shape = lineOf(bent, 'a').shape!;
    const added = after(bent, addLine(bent, channel, { kind: 'control', id: 'k2' }));
    const shared = after(added, changeLine(added, added.program.lines.at(-1)!.id, { shape }));
    const changed = after(shared, putSides(shared, 'a', { lowPct: 1, highPct: 2 }));
    expect(changed.program.shapes.find((s) => s.id === shape)).toEqual(
      shared.program.shapes.find((s) => s.id === shape),
    );
    expect(sidesOf(changed, lineOf(changed, 'a'))).toEqual({ lowPct: 1, highPct: 2 });
  });
  it('a curve of more points is no pair of sides', () => {
    const curved = structuredClone(setup);
    curved.program.shapes.push({
      id: 'c',
      label: 'Curve',
      points: [-100, -50, 50, 100].map((inPct) => ({ inPct, outPct: inPct / 2 })),
    });
    lineOf(curved, 'a').shape = 'c';
    expect(sidesOf(curved, lineOf(curved, 'a'))).toBeUndefined();
  });
  it('a fixed value is one number', () => {
    const put = after(setup, addLine(setup, channel, fixed));
    const id = put.program.lines.at(-1)!.id;
    expect(sent(after(put, putValue(put, id, -35)), channel, {})).toBe(-35);
  });
});

describe('every shipped and demo program in each view', () => {
  it.each(PROGRAMS)(
    '%s: looked at it is what it was, and changed and set back as well',
    (_, setup) => {
      const whole = JSON.stringify(setup);
      const lines = setup.program.lines.map(({ owner: _, ...line }) => line);
      const own = after({ ...setup, program: { ...setup.program, lines } }, []);
      for (const { channel } of setup.program.outputs) {
        const table = valueTable(own, channel);
        if (table.rest.length === 0)
          for (const { places, pct } of table.cells) {
            const thrown = Object.fromEntries(table.switches.map((s, i) => [s.id, places[i]!]));
            expect(pct).toBeCloseTo(sent(own, channel, thrown), 3);
          }
        for (const { places, pct } of table.cells) {
          const other = after(own, putCell(own, channel, places, pct > 0 ? pct - 7 : pct + 7));
          const back = after(other, putCell(other, channel, places, pct));
          expect(valueTable(back, channel).cells).toEqual(table.cells);
          for (const p of PLACES)
            expect(sent(back, channel, p)).toBeCloseTo(sent(own, channel, p), 3);
        }
      }
      for (const line of own.program.lines) {
        const sides = sidesOf(own, line);
        if (!sides) continue;
        const other = after(own, putSides(own, line.id, { lowPct: 11, highPct: -12 }));
        const back = after(other, putSides(other, line.id, sides));
        if (!line.shape) expect(JSON.stringify(back)).toBe(JSON.stringify(own));
      }
      expect(JSON.stringify(setup)).toBe(whole);
    },
  );
});
