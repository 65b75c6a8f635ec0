import { describe, expect, it } from 'vitest';
import { PROGRAMS } from '../../../tests/kit/programs';
import { makeSetup } from '../../../tests/kit/setups';
import { setAside } from '../edit';
import { applyPatch } from '../patch';
import { parseSetup, type Setup } from '../setup';
import { differingParts, merged } from './index';

const read = (setup: Setup): Setup => {
  const found = parseSetup(setup);
  if (!found.ok) throw new Error(found.problems.map((p) => `${p.path} ${p.reason}`).join('; '));
  return found.value;
};
const changed = (from: Setup, spoil: (s: Setup) => void): Setup => {
  const setup = structuredClone(from);
  spoil(setup);
  return read(setup);
};
/** Without name, wear, and what has no order. */
const bare = ({
  name: _,
  installation: { revisions: _r, ...fitting },
  program,
  ...rest
}: Setup) => {
  const { outputs, failsafe, lines: _l, ...lists } = program;
  const byChannel = <T extends { channel: number }>(list: readonly T[]) =>
    list.toSorted((a, b) => a.channel - b.channel);
  return { ...rest, fitting, lists, outputs: byChannel(outputs), failsafe: byChannel(failsafe) };
};
const base = makeSetup();
const GAIN = base.program.outputs.find((o) => o.carries === 'gain')!.channel;

describe('two copies that went different ways', () => {
  it('every field of a Setup is in a part: all parts taken is the other, but for its name and its wear', () => {
    const pairs = PROGRAMS.map(
      ([, mine], i) => [mine, PROGRAMS[(i + 1) % PROGRAMS.length]![1]] as const,
    );
    for (const [mine, theirs] of pairs) {
      const ids = new Set(differingParts(mine, theirs).map((p) => p.id));
      const all = merged(mine, theirs, ids);
      expect(all.name).toBe(mine.name);
      expect(all.installation.revisions).toEqual(mine.installation.revisions);
      expect(differingParts(all, theirs)).toEqual([]);
      expect(bare(all)).toEqual(bare(theirs));
      // Lines of a channel in their order; between channels there is none.
      for (const { channel } of theirs.program.outputs)
        expect(all.program.lines.filter((l) => l.channel === channel)).toEqual(
          theirs.program.lines.filter((l) => l.channel === channel),
        );
      expect(merged(mine, theirs, new Set())).toEqual(mine);
    }
  });
  it('says of each part who changed it', () => {
    const mine = changed(base, (s) => {
      s.airframe.measures.spanMm = 1234;
      s.notes = 'mine';
    });
    const theirs = changed(base, (s) => {
      s.program.inputs[0]!.rates[0]!.expoPct = 33;
      s.notes = 'theirs';
    });
    expect(differingParts(mine, theirs, base).map((p) => [p.id, p.changed])).toEqual([
      ['notes', 'both'],
      ['measures', 'here'],
      ['inputs', 'there'],
    ]);
    expect(differingParts(mine, theirs).every((p) => p.changed === undefined)).toBe(true);
    const [, measures] = differingParts(mine, theirs, base);
    expect(measures!.differences).toEqual([
      expect.objectContaining({ name: 'span', before: '1234 mm' }) as object,
    ]);
  });
  it('only what is chosen is taken, and what a channel reads comes along', () => {
    const theirs = changed(base, (s) => {
      s.program.shapes.push({
        id: 'theirs',
        label: 'Theirs',
        points: [
          { inPct: -100, outPct: 0 },
          { inPct: 100, outPct: 50 },
        ],
      });
      s.program.lines.find((l) => l.channel === GAIN)!.shape = 'theirs';
      s.program.outputs[0]!.reversed = true;
    });
    const both = read(merged(base, theirs, new Set([`channel-${GAIN}`])));
    expect(both.program.shapes.map((s) => s.id)).toContain('theirs');
    expect(both.program.outputs).toEqual(base.program.outputs);
    expect(both.program.lines.find((l) => l.channel === GAIN)!.shape).toBe('theirs');
  });
  it('lines that are switched off go with their channel', () => {
    const line = base.program.lines.find((l) => l.channel === GAIN)!;
    const theirs = read(applyPatch(base, setAside(base, line.id)));
    expect(differingParts(base, theirs).map((p) => p.id)).toEqual([`channel-${GAIN}`]);
    const off = read(merged(base, theirs, new Set([`channel-${GAIN}`])));
    expect(off.program.aside).toEqual(theirs.program.aside);
    const on = read(merged(theirs, base, new Set([`channel-${GAIN}`])));
    expect(differingParts(on, base)).toEqual([]);
    expect(on.program.aside).toBeUndefined();
  });
  it('what does not go together is refused by whoever reads it, not taken half', () => {
    const theirs = changed(base, (s) => {
      s.transmitter.controls.push({ id: 'extra', label: 'Extra', kind: 'knob', rest: 0 });
      s.program.lines.find((l) => l.channel === GAIN)!.follows = { kind: 'control', id: 'extra' };
    });
    const half = parseSetup(merged(base, theirs, new Set([`channel-${GAIN}`])));
    expect(half.ok).toBe(false);
    expect(parseSetup(merged(base, theirs, new Set([`channel-${GAIN}`, 'transmitter']))).ok).toBe(
      true,
    );
  });
});
