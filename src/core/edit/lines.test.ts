import { describe, expect, it } from 'vitest';
import { randomOf, randomProgram } from '../../../tests/kit/random-program';
import { makeSetup } from '../../../tests/kit/setups';
import { FULL, SEED } from '../../../tests/kit/share';
import { applyPatch } from '../patch';
import { choose, outOfStep, rewrite } from '../plan';
import { parseSetup, type Setup } from '../setup';
import { findingsOf } from '../verify';
import { atomsFor } from './conditions';
import {
  addLine,
  changeLine,
  bringBack,
  dropAside,
  duplicateLine,
  moveLine,
  moveLineTo,
  removeLine,
  setAside,
  sourcesFor,
  writerOf,
} from './lines';

function after(setup: Setup, patch: ReturnType<typeof addLine>): Setup {
  const read = parseSetup(applyPatch(setup, patch));
  if (!read.ok) throw new Error(read.problems.map((p) => `${p.path} ${p.reason}`).join('; '));
  return read.value;
}
const idsOf = (setup: Setup, channel: number) =>
  setup.program.lines.filter((l) => l.channel === channel).map((l) => l.id);

describe('lines changed by hand', () => {
  it('everything offered is a program that can be read: each source, each condition, over random programs', () => {
    let tried = 0;
    for (let seed = 1; seed <= (FULL ? 30 : 10); seed++) {
      const setup = randomProgram(SEED * 30 + seed, { logic: 3, lines: 6, rich: seed % 2 === 0 });
      for (const line of setup.program.lines.slice(0, 4)) {
        for (const { source } of sourcesFor(setup, { kind: 'channel', channel: line.channel })) {
          after(setup, changeLine(setup, line.id, { follows: source }));
          tried++;
        }
        for (const atom of atomsFor(setup, { kind: 'channel', channel: line.channel })
          .toReversed()
          .slice(0, 6)) {
          after(setup, changeLine(setup, line.id, { when: atom }));
          tried++;
        }
      }
    }
    expect(tried).toBeGreaterThan(200);
  });
  it('goes to the place of another line of its channel, either way, and of no other channel', () => {
    const setup = makeSetup();
    const [channel, other] = setup.program.outputs.map((o) => o.channel);
    const three = [0, 1].reduce((s) => after(s, addLine(s, channel!, { kind: 'fixed' })), setup);
    const [a, b, c] = idsOf(three, channel!);
    expect(idsOf(after(three, moveLineTo(three, a!, c!)), channel!)).toEqual([b, c, a]);
    expect(idsOf(after(three, moveLineTo(three, c!, a!)), channel!)).toEqual([c, a, b]);
    for (const to of [a!, idsOf(three, other!)[0]!, 'nobody'])
      expect(moveLineTo(three, a!, to)).toEqual([]);
  });
  it('a name that a wish gave goes with the wish, one’s own stays', () => {
    const setup = makeSetup();
    const line = setup.program.lines.find((l) => l.owner && l.label)!;
    const own = after(setup, changeLine(setup, line.id, { sharePct: 12 }));
    expect(own.program.lines.find((l) => l.id === line.id)!.label).toBeUndefined();
    const named = after(own, changeLine(own, line.id, { label: 'Mine' }));
    const kept = after(named, changeLine(named, line.id, { sharePct: 13 }));
    expect(kept.program.lines.find((l) => l.id === line.id)!.label).toBe('Mine');
  });
  it('a channel is never offered itself, however far round', () => {
    const setup = makeSetup();
    const [a, b] = setup.program.outputs.map((o) => o.channel);
    const chained = after(setup, addLine(setup, b!, { kind: 'channel', channel: a! }));
    const keys = sourcesFor(chained, { kind: 'channel', channel: a! }).map((s) => s.key);
    expect(keys).not.toContain(`channel ${a}`);
    expect(keys).not.toContain(`channel ${b}`);
    expect(sourcesFor(chained, { kind: 'channel', channel: b! }).map((s) => s.key)).toContain(
      `channel ${a}`,
    );
  });
  it('a new one does nothing; once more, up, down and out keep to their channel', () => {
    const setup = makeSetup();
    const channel = setup.program.outputs.find((o) => o.carries === 'elevator')!.channel;
    const one = after(setup, addLine(setup, channel, { kind: 'control', id: 'k2' }));
    expect(findingsOf(one)).toEqual(findingsOf(setup));
    const [first, own] = idsOf(one, channel);
    const two = after(one, duplicateLine(one, own!));
    expect(idsOf(two, channel)).toEqual([first, own, `${own}-1`]);
    const moved = after(two, moveLine(two, own!, -1));
    expect(idsOf(moved, channel)).toEqual([own, first, `${own}-1`]);
    expect(moveLine(moved, own!, -1)).toEqual([]);
    for (const other of setup.program.outputs)
      if (other.channel !== channel)
        expect(idsOf(moved, other.channel)).toEqual(idsOf(setup, other.channel));
    const gone = after(after(moved, removeLine(moved, own!)), []);
    expect(idsOf(after(gone, removeLine(gone, `${own}-1`)), channel)).toEqual([first]);
    expect(removeLine(setup, 'nobody')).toEqual([]);
    expect(changeLine(setup, 'nobody', { sharePct: 1 })).toEqual([]);
  });
  it('a line of a wish becomes the person’s own when it is changed, and no wish writes it again', () => {
    const setup = makeSetup();
    const line = setup.program.lines.find((l) => l.owner === 'gain')!;
    expect(writerOf(line)).toBe('gain');
    const mine = after(setup, changeLine(setup, line.id, { sharePct: 40 }));
    const own = mine.program.lines.find((l) => l.id === line.id)!;
    expect(writerOf(own)).toBeUndefined();
    expect(outOfStep(mine)).not.toContain('modes');
    const next = choose(mine, { wish: 'timer', value: { minutes: 5 } }, 'all');
    if (!next.ok) throw new Error(next.reasons.join());
    expect(next.setup.program.lines.find((l) => l.id === line.id)).toEqual(own);
  });
  it('a line of the person’s own survives every wish', () => {
    const random = randomOf(16);
    for (let i = 0; i < 12; i++) {
      const setup = makeSetup();
      const channel = setup.program.outputs[i % setup.program.outputs.length]!.channel;
      let mine = after(setup, addLine(setup, channel, { kind: 'control', id: 'k2' }));
      const own = mine.program.lines.at(-1)!;
      const changed = changeLine(mine, own.id, { sharePct: Math.round(20 * random()) });
      mine = after(mine, changed);
      const kept = mine.program.lines.find((l) => l.id === own.id)!;
      for (const choice of [
        { wish: 'panic', value: { way: 'replace', control: 'sm', holdS: 0.2, gainPct: 60 } },
        { wish: 'rates', value: { by: 'one', pct: 80, expoPct: 10 } },
        { wish: 'timer', value: { minutes: 7 } },
        { wish: 'voice', value: { modes: true } },
        { wish: 'panic', value: undefined },
      ] as Parameters<typeof choose>[1][]) {
        const next = choose(mine, choice, 'all');
        if (!next.ok) throw new Error(next.reasons.join('; '));
        mine = next.setup;
        expect(mine.program.lines.find((l) => l.id === own.id)).toEqual(kept);
      }
    }
  });
});

describe('lines switched off', () => {
  it('do nothing, and brought back are the line they were where they stood, over random programs', () => {
    let tried = 0;
    for (let seed = 1; seed <= 40; seed++) {
      const setup = randomProgram(seed, { logic: 3, lines: 6, rich: seed % 2 === 0 });
      for (const { id, channel } of setup.program.lines) {
        const off = after(setup, setAside(setup, id));
        // Off is as good as out, in every number the chain gives.
        const { aside, ...program } = off.program;
        expect(aside).toHaveLength(1);
        expect(program).toEqual(after(setup, removeLine(setup, id)).program);
        const back = after(off, bringBack(off, id));
        expect(back.program.aside).toBeUndefined();
        expect(idsOf(back, channel)).toEqual(idsOf(setup, channel));
        const { owner: _, ...was } = setup.program.lines.find((l) => l.id === id)!;
        expect(back.program.lines.find((l) => l.id === id)).toEqual(was);
        expect(after(off, dropAside(off, id)).program.aside).toBeUndefined();
        tried++;
      }
    }
    expect(tried).toBeGreaterThan(100);
  });
  it('of a wish are not written again beside it', () => {
    const setup = makeSetup();
    const line = setup.program.lines.find((l) => l.owner === 'gain')!;
    const off = after(setup, setAside(setup, line.id));
    const next = choose(off, { wish: 'timer', value: { minutes: 4 } }, 'all');
    expect(next.ok && next.setup.program.lines.some((l) => l.id === line.id)).toBe(false);
    expect(next.ok && next.setup.program.aside).toEqual(off.program.aside);
    const again = choose(off, { wish: 'gain', value: off.intents.program.gain! });
    expect(again.ok && again.kept).toEqual([`lines ${line.id}`]);
    // Written again on purpose, it is back, and no longer stands aside.
    expect(rewrite(off, 'gain', true).setup).toEqual(setup);
  });
  it('are refused beside one of the same name', () => {
    const setup = makeSetup();
    const line = setup.program.lines[0]!;
    const read = parseSetup({
      ...setup,
      program: { ...setup.program, aside: [{ line }] },
    });
    expect(!read.ok && read.problems).toEqual([
      {
        path: '/program/aside/0/line/id',
        reason: `"${line.id}" is also a line that is switched on`,
      },
    ]);
  });
  it('whose place is gone come to the end of their channel, and one that was first comes first', () => {
    const setup = makeSetup();
    const channel = setup.program.outputs.find((o) => o.carries === 'gain')!.channel;
    const [first] = idsOf(setup, channel);
    const two = after(setup, addLine(setup, channel, { kind: 'fixed' }));
    const own = idsOf(two, channel)[1]!;
    const off = after(two, setAside(two, own));
    const moved = after(off, removeLine(off, first!));
    expect(idsOf(after(moved, bringBack(moved, own)), channel)).toEqual([own]);
    const none = after(two, setAside(two, first!));
    expect(idsOf(after(none, bringBack(none, first!)), channel)).toEqual([first, own]);
  });
});
