import { describe, expect, it } from 'vitest';
import { wished } from '../../../../tests/kit/order-faults';
import { compileChain } from '../../chain';
import { parseSetup, type Condition, type Setup, type WishId } from '../../setup';
import { choose, type Choice } from './choose';
import { rewrite } from './write';

/** A Setup with everything of a choice that others can read. */
const full = () =>
  wished({
    panic: { way: 'replace', control: 'sm', holdS: 0.3, gainPct: 60 },
    launch: { control: 'sh', holdS: 1, elevatorPct: 25, releasePct: 10 },
    voice: { modes: true },
    timer: { minutes: 6 },
  });
type Taken = Extract<Choice['wish'], 'panic' | 'launch' | 'timer'>;
const TAKEN: readonly Taken[] = ['panic', 'launch', 'timer'];
const ownLogic = (s: Setup, owner: WishId) => s.program.logic.filter((l) => l.owner === owner);

function withReader(
  setup: Setup,
  when: Condition,
  kind: 'line' | 'callout' | 'logic' | 'rate',
): Setup {
  const own = structuredClone(setup);
  const { channel } = own.program.outputs.find((o) => o.carries === 'rudder')!;
  if (kind === 'line')
    own.program.lines.push({
      id: 'mine',
      label: 'Rudder while it acts',
      channel,
      follows: { kind: 'fixed' },
      sharePct: 12,
      shiftPct: 0,
      when,
      effect: 'adds',
    });
  if (kind === 'callout') own.program.callouts.push({ id: 'mine', when, say: 'Mine' });
  if (kind === 'logic')
    own.program.logic.push({ id: 'mine', label: 'Mine', op: 'delay', of: when, onS: 1, offS: 0 });
  if (kind === 'rate') own.program.inputs[0]!.rates.unshift({ when, sharePct: 50, expoPct: 0 });
  const read = parseSetup(own);
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return read.value;
}

const CASES = TAKEN.flatMap((wish) =>
  ownLogic(full(), wish).flatMap(({ id }) =>
    (['line', 'callout', 'logic', 'rate'] as const).map((kind) => ({ wish, id, kind })),
  ),
);

describe('a choice taken out whose logic an entry of one’s own reads', () => {
  it('has many such entries to read', () => expect(CASES.length).toBeGreaterThan(15));
  it.each(CASES)(
    '$wish, $id read by a $kind: asked first, and nothing of one’s own is lost',
    (c) => {
      const setup = withReader(full(), { kind: 'logic', id: c.id }, c.kind);
      const mine = JSON.stringify([
        setup.program.lines.filter((l) => !l.owner),
        setup.program.callouts.filter((e) => !e.owner),
        setup.program.logic.filter((e) => !e.owner),
        setup.program.inputs[0]!.rates.filter((r) => !r.owner),
      ]);
      const choice = { wish: c.wish, value: undefined } as Choice;
      const asked = choose(setup, choice);
      expect(asked.ok).toBe(false);
      if (asked.ok) return;
      expect(asked.hanging!.entries.map((e) => e.id)).toContain(c.id);
      expect(asked.reasons.join()).toMatch(/of yours, “.+”, reads what this choice wrote: “/);

      const kept = choose(setup, choice, 'all', 'keep');
      if (!kept.ok) throw new Error(kept.reasons.join());
      const now = kept.setup;
      expect(ownLogic(now, c.wish)).toEqual([]);
      expect(now.program.logic.find((l) => l.id === c.id)).toBeDefined();
      for (const entry of JSON.parse(mine) as object[][])
        for (const e of entry)
          expect([
            ...now.program.lines,
            ...now.program.callouts,
            ...now.program.logic,
            ...now.program.inputs[0]!.rates,
          ]).toContainEqual(e);
      compileChain(now);

      const off = choose(setup, choice, 'all', 'aside');
      if (!off.ok || c.kind !== 'line') return;
      expect(off.setup.program.aside!.map((a) => a.line.label)).toEqual(['Rudder while it acts']);
      expect(off.setup.program.logic.find((l) => l.id === c.id)).toBeUndefined();
      compileChain(off.setup);
    },
  );
  it('other choices that read it go along, and are not asked about', () => {
    const next = choose(full(), { wish: 'launch', value: undefined });
    if (!next.ok) throw new Error(next.reasons.join());
    expect(next.setup.program.logic.filter((l) => /launch/.test(l.id))).toEqual([]);
    expect(next.setup.program.callouts.map((c) => c.say).join()).not.toMatch(/launch/);
    for (const wish of ['launch', 'voice'] as const)
      expect(rewrite(next.setup, wish).setup).toEqual(next.setup);
  });
});
