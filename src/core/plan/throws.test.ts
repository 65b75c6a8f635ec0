import { describe, expect, it } from 'vitest';
import { makeSetup } from '../../../tests/kit/setups';
import { allThrowsOf } from '../chain';
import { applyPatch } from '../patch';
import { AIRFRAME_KINDS, parseSetup, type Setup } from '../setup';
import { setThrow } from './throws';

const elevatorOf = (setup: Setup) => allThrowsOf(setup).find((t) => t.surface === 'elevator')!;

describe('an endpoint that gives a throw', () => {
  it.each(AIRFRAME_KINDS)('%s: what is offered gives it on the chain', (kind) => {
    const setup =
      kind === 'car' || kind === 'boat'
        ? makeSetup(kind, 'steering-receiver', 'surface-four')
        : makeSetup(kind);
    let reached = 0;
    for (const t of allThrowsOf(setup))
      for (const end of ['low', 'high'] as const) {
        const now = Math.abs(t[end].edgeMm);
        const wanted = now * 0.8;
        const change = setThrow(setup, t, end, wanted);
        if (!change.ok) continue;
        const read = parseSetup(applyPatch(setup, change.patch));
        if (!read.ok) throw new Error(read.problems[0]!.reason);
        const got = allThrowsOf(read.value).find(
          (r) => r.surface === t.surface && r.control === t.control,
        )![end].edgeMm;
        expect(Math.abs(Math.abs(got) - wanted)).toBeLessThan(Math.max(0.6, now * 0.012));
        expect(Math.sign(got)).toBe(Math.sign(t[end].edgeMm));
        reached++;
      }
    expect(reached).toBeGreaterThan(0);
  });
  it('says which other surfaces go with it, and changes one end only', () => {
    const setup = makeSetup();
    const change = setThrow(setup, elevatorOf(setup), 'high', 8);
    expect(change).toMatchObject({ ok: true, also: [] });
    if (!change.ok) return;
    const after = elevatorOf(applyPatch(setup, change.patch) as Setup);
    expect(after.high.edgeMm).not.toBeCloseTo(elevatorOf(setup).high.edgeMm, 1);
    expect(after.low.edgeMm).toBeCloseTo(elevatorOf(setup).low.edgeMm, 6);
  });
  it('asks for more than the endpoints have: says how far they go and what else helps', () => {
    const change = setThrow(makeSetup(), elevatorOf(makeSetup()), 'high', 400);
    expect(change).toMatchObject({ ok: false });
    expect(!change.ok && change.reason).toMatch(
      /^The endpoints of .* allow \d+ mm (up|down)\. .* hole/,
    );
  });
});
