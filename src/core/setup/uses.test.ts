import { describe, expect, it } from 'vitest';
import { makeSetup } from '../../../tests/kit/setups';
import { richSetup } from '../../../tests/kit/rich';
import { allReads, readsOfProgram } from './reads';
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
