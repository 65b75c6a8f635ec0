import { describe, expect, it } from 'vitest';
import { make, RULE_FAULTS } from '../../../tests/kit/rule-faults';
import { share } from '../../../tests/kit/share';
import { UNITS, buildAirframe, usualAnswers } from '../catalogue';
import { applyPatch } from '../patch';
import { unsuited } from '../plan';
import { AIRFRAME_KINDS, FUNCTIONS, functionOf, parseSetup, type Setup } from '../setup';
import { createBench } from '../standin';
import { findingKey, findingsOf, RULES, verify } from './index';

/** Rules that find something in a Setup before it is spoiled: many faults begin with the same one. */
const before = new Map<string, readonly string[]>();
function rulesBefore(setup: Setup): readonly string[] {
  const key = JSON.stringify(setup);
  const known = before.get(key) ?? findingsOf(setup).map((f) => f.rule);
  before.set(key, known);
  return known;
}

/** Functions by their keys, where those are no words: nobody is to read "elevator2". */
const CODES = new RegExp(
  `\\b(${FUNCTIONS.filter((f) => functionOf(f).words !== f && /[-\\d]/.test(f)).join('|')})\\b`,
);

describe('seeded faults', () => {
  it.each(share(RULE_FAULTS, 12))('%s catches: %s', (rule, _, start, spoil) => {
    const clean = start();
    // What is found must come from the fault, not have been there before.
    expect(rulesBefore(clean)).not.toContain(rule);
    const setup = structuredClone(clean);
    spoil(setup);
    expect(parseSetup(setup)).toMatchObject({ ok: true });
    const all = verify(setup);
    // Nothing is said twice.
    expect(new Set(all.map(findingKey)).size).toBe(all.length);
    const found = all.filter((f) => f.rule === rule);
    expect(found.length).toBeGreaterThan(0);
    for (const { says, remedies } of found)
      expect([says, ...remedies.map((r) => r.label)].join('; ')).not.toMatch(CODES);
    // A remedy that is offered removes what it was offered for.
    for (const remedy of found[0]!.remedies) {
      const mended = applyPatch(setup, remedy.patch);
      expect(parseSetup(mended)).toMatchObject({ ok: true });
      expect(
        findingsOf(mended).filter((f) => f.rule === rule && f.says === found[0]!.says),
      ).toEqual([]);
    }
  });
  it('show themselves: the witness, put on the chain, has the fault in it', () => {
    const setup = make();
    setup.program.outputs[2]!.reversed = true;
    const { witness } = verify(setup).find((f) => f.rule === 'M29')!;
    const bench = createBench(setup);
    for (const [id, value] of Object.entries(witness!.controls)) bench.setControl(id, value);
    expect(bench.advance(0.03).motorPct[0]).toBeGreaterThan(5);
    const roll = make();
    roll.unit.settings.axes.roll.reversed = true;
    const found = verify(roll).find((f) => f.rule === 'M3')!;
    const other = createBench(roll);
    for (const [id, value] of Object.entries(found.witness!.controls)) other.setControl(id, value);
    other.tilt('roll', 20);
    expect(other.advance(0.03).answers[0]).toMatchObject({ movement: 'down' });
    expect(found.remedies[0]!.label).toBe('Reverse the roll correction in the unit’s menu');
  });
  it('has three ways to be wrong for every rule', () => {
    for (const rule of RULES)
      expect(RULE_FAULTS.filter(([id]) => id === rule.id).length, rule.id).toBeGreaterThanOrEqual(
        3,
      );
  });
});

const CLEAN = Object.entries(UNITS).flatMap(([unit]) =>
  AIRFRAME_KINDS.filter(
    (kind) => unsuited(buildAirframe(usualAnswers(kind)), UNITS[unit]!).length === 0,
  ).map((kind) => ({
    unit,
    kind,
    transmitter: kind === 'car' || kind === 'boat' ? 'surface-four' : 'line-sixteen',
  })),
);

describe('clean Setups raise no stop', () => {
  it('are at least thirty', () => expect(CLEAN.length).toBeGreaterThanOrEqual(30));
  it.each(share(CLEAN, 12))('$unit, $kind', ({ unit, kind, transmitter }) => {
    const stops = findingsOf(make(kind, unit, transmitter)).filter((f) => f.severity === 'stop');
    expect(stops.map((f) => `${f.rule} ${f.says}`)).toEqual([]);
  });
});
