import { describe, expect, it } from 'vitest';
import { makeSetup } from '../../../tests/kit/setups';
import { richSetup } from '../../../tests/kit/rich';
import { allReads, reaches, readsOfProgram, type Worked } from './reads';
import type { Line, Program } from './schema/program';
import { usesOf } from './uses';

describe('what reads what', () => {
  it('finds every name of a program at its place', () => {
    const { program } = richSetup();
    for (const read of readsOfProgram(program)) {
      const value = read.path.reduce(
        (at: unknown, key) => (at as Record<string | number, unknown>)[key],
        program,
      );
      expect(value).toBe(read.kind === 'channel' ? read.channel : read.id);
    }
    // And leaves none out: every name that stands in the program as one is found.
    const named = [...JSON.stringify(program).matchAll(/"control":"([^"]+)"/g)].map((m) => m[1]);
    const found = readsOfProgram(program).filter((r) => r.kind === 'control').length;
    expect(found).toBeGreaterThanOrEqual(named.length);
  });
  it('follows reads to the controls, once each', () => {
    const { program } = makeSetup();
    const reads = allReads(program, [{ kind: 'channel', channel: 2, path: [] }]);
    expect(reads.map((r) => r.kind)).toContain('input');
    expect(reads.some((r) => r.kind === 'control' && r.trim)).toBe(true);
  });
  it.each<[Worked, Worked, boolean]>([
    [{ kind: 'channel', channel: 1 }, { kind: 'channel', channel: 1 }, true],
    [{ kind: 'channel', channel: 2 }, { kind: 'channel', channel: 1 }, true],
    [{ kind: 'channel', channel: 1 }, { kind: 'channel', channel: 2 }, false],
    // By logic that compares a channel, and by what stands under that logic's condition.
    [{ kind: 'logic', id: 'near' }, { kind: 'channel', channel: 1 }, true],
    [{ kind: 'channel', channel: 3 }, { kind: 'channel', channel: 1 }, true],
    [{ kind: 'input', id: 'rated' }, { kind: 'logic', id: 'near' }, true],
    [{ kind: 'input', id: 'rated' }, { kind: 'channel', channel: 1 }, true],
    [{ kind: 'logic', id: 'near' }, { kind: 'input', id: 'rated' }, false],
  ])('%j comes back to %j: %s', (from, to, does) => {
    const line = (channel: number, more: Partial<Line>): Line => ({
      id: `line-${channel}`,
      channel,
      follows: { kind: 'fixed' },
      sharePct: 100,
      shiftPct: 0,
      effect: 'adds',
      ...more,
    });
    const near = { kind: 'logic', id: 'near' } as const;
    const program: Program = {
      ...makeSetup().program,
      inputs: [
        {
          id: 'rated',
          label: 'Rated',
          control: 'stick-aileron',
          rates: [{ when: near, sharePct: 50, expoPct: 0 }],
        },
      ],
      logic: [
        {
          id: 'near',
          label: 'Near',
          op: 'near',
          follows: { kind: 'channel', channel: 1 },
          valuePct: 0,
          withinPct: 5,
        },
      ],
      lines: [
        line(1, {}),
        line(2, { follows: { kind: 'channel', channel: 1 } }),
        line(3, { when: near }),
      ],
    };
    expect(reaches(program, from, to)).toBe(does);
  });
});

describe('what a control does', () => {
  it('says mode, gain and sticks of the usual model, and nothing of what is idle', () => {
    const setup = makeSetup();
    const uses = usesOf(setup);
    const mode = setup.program.outputs.find((o) => o.carries === 'mode')!;
    const workers = [...uses].filter(([, list]) => list.some((u) => u.channel === mode.channel));
    expect(workers.length).toBeGreaterThan(0);
    const read = new Set(
      readsOfProgram(setup.program).flatMap((r) => (r.kind === 'control' ? [r.id] : [])),
    );
    expect([...uses.keys()].toSorted()).toEqual([...read].toSorted());
  });
  it('sees through logic and delays', () => {
    const setup = makeSetup();
    const free = setup.transmitter.controls.find((c) => c.kind === 'momentary')!;
    setup.program.logic.push(
      {
        id: 'pressed',
        label: 'pressed',
        op: 'when',
        when: { kind: 'switch', control: free.id, position: 1 },
      },
      {
        id: 'held',
        label: 'held',
        op: 'delay',
        of: { kind: 'logic', id: 'pressed' },
        onS: 1,
        offS: 0,
      },
    );
    setup.program.lines.push({
      id: 'extra',
      channel: 1,
      follows: { kind: 'fixed' },
      sharePct: 0,
      shiftPct: 0,
      when: { kind: 'logic', id: 'held' },
      effect: 'adds',
      purpose: 'panic',
    });
    expect(usesOf(structuredClone(setup)).get(free.id)).toMatchObject([
      { channel: 1, purpose: 'panic', indirect: true },
    ]);
  });
});
