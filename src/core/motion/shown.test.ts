import { describe, expect, it } from 'vitest';
import { MUTATIONS } from '../../../tests/kit/mutations';
import { makeSetup } from '../../../tests/kit/setups';
import { share } from '../../../tests/kit/share';
import { applyPatch } from '../patch';
import { kindOf, parseSetup, type Setup } from '../setup';
import { REQUIREMENTS, verify, type Finding } from '../verify';
import {
  endedWell,
  fly,
  footprintOf,
  footprintWords,
  LOST_IN,
  motionFile,
  readMotion,
  scenario,
  SHOWN_IN,
  shownOf,
  SITUATIONS,
  storyWords,
} from './index';

/** Programs with a seeded fault that flies, spoiled. */
const SPOILED = MUTATIONS.flatMap(({ requirement, words, start, spoil }) => {
  const setup = structuredClone(start());
  if (kindOf(setup.airframe).moves !== 'air') return [];
  spoil(setup);
  const read = parseSetup(setup);
  return read.ok ? [{ requirement, words, setup: read.value }] : [];
});

const flown = (setup: Setup, finding: Finding) => {
  const shown = shownOf(setup, finding);
  if (!shown.ok) return undefined;
  const outcome = fly(setup, shown.scenario);
  return outcome.ok ? { shown, flown: outcome.flown } : undefined;
};

describe('Show it', () => {
  it('every requirement names its situation, or says why nothing flies', () => {
    for (const { id } of REQUIREMENTS) {
      const shown = SHOWN_IN[id];
      if (typeof shown === 'string') expect(SITUATIONS[shown].words.length).toBeGreaterThan(5);
      else expect(shown.why).toMatch(/nothing needs to fly/);
    }
  });
  it('there are many seeded faults in models that fly', () =>
    expect(SPOILED.length).toBeGreaterThan(80));
  it.each(share(SPOILED, 12))('$requirement, $words: flies, and says what happens', ({ setup }) => {
    for (const finding of verify(setup).filter((f) => f.severity === 'stop')) {
      const seen = flown(setup, finding);
      if (!seen) continue;
      const story = storyWords(seen.flown);
      expect(story, finding.says).toMatch(/flying|ground|level/);
      for (const p of seen.flown.points)
        expect(Number.isFinite(p.heightM + p.rollDeg + p.airspeedMps)).toBe(true);
    }
  });

  /** One sign wrong, in every way the same reversal comes about. */
  const reversed = (['conventional', 't-tail', 'v-tail', 'flying-wing'] as const).flatMap((kind) =>
    (['aileron', 'elevator'] as const).flatMap((carries) =>
      kind === 'v-tail' && carries === 'elevator' ? [] : [{ kind, carries }],
    ),
  );
  it.each(reversed)(
    '$kind, $carries stick reversed: it goes the other way; repaired, the right way',
    ({ kind, carries }) => {
      const setup = makeSetup(kind);
      for (const output of setup.program.outputs)
        if (output.carries === carries) output.reversed = !output.reversed;
      const finding = verify(setup).find(
        (f) => f.severity === 'stop' && f.requirements.includes('sticks') && f.remedies.length > 0,
      );
      if (!finding) return expect(verify(setup).length).toBeGreaterThan(0);
      const before = flown(setup, finding)!;
      const read = parseSetup(applyPatch(setup, finding.remedies[0]!.patch));
      if (!read.ok) throw new Error('the repair leaves no Setup');
      const after = fly(read.value, before.shown.scenario);
      if (!after.ok) throw new Error(after.reason);
      const turn = (r: { rollDeg: number; pitchDeg: number }) =>
        carries === 'aileron' ? r.rollDeg : r.pitchDeg;
      const [wrong, right] = [turn(before.flown.reaction), turn(after.flown.reaction)];
      expect(Math.sign(wrong)).toBe(-Math.sign(right));
      expect(Math.abs(wrong)).toBeGreaterThan(4);
    },
  );
  it.each(['conventional', 't-tail', 'v-tail', 'flying-wing'] as const)(
    '%s with the roll correction reversed: lost; repaired, the same gust is flown through',
    (kind) => {
      const setup = makeSetup(kind);
      setup.unit.traits.nominalSense.roll *= -1;
      const finding = verify(setup).find(
        (f) => f.severity === 'stop' && f.requirements.includes('corrections') && f.witness,
      )!;
      const before = flown(setup, finding)!;
      expect(endedWell(before.flown)).toBe(false);
      const right = makeSetup(kind);
      const after = fly(right, before.shown.scenario);
      if (!after.ok) throw new Error(after.reason);
      expect(endedWell(after.flown)).toBe(true);
    },
  );
  it('says why nothing flies', () => {
    const setup = makeSetup();
    const finding: Finding = {
      rule: 'M33',
      requirements: [],
      severity: 'caution',
      says: '',
      where: '/unit',
      remedies: [],
    };
    expect(shownOf(setup, finding)).toEqual({
      ok: false,
      why: 'it is not about one state: nothing flies for it',
    });
    const car = makeSetup('car', 'steering-menu', 'surface-six');
    expect(shownOf(car, finding)).toMatchObject({ ok: false });
  });
});

describe('where it comes down without a signal', () => {
  it('further with the wind than against it, and in words', () => {
    const all = [...footprintOf(makeSetup('t-tail'), LOST_IN, 20)].at(-1)!;
    expect(all).toHaveLength(20);
    const down = all.filter((l) => !l.flying);
    expect(down.length).toBeGreaterThan(10);
    const mean = down.reduce((sum, l) => sum + l.downwindM, 0) / down.length;
    expect(mean).toBeGreaterThan(0);
    expect(footprintWords(all).join(' ')).toMatch(/^Down after \d+ to \d+ s\. .* m from where/);
    expect([...footprintOf(makeSetup('t-tail'), LOST_IN, 3)].at(-1)).toEqual(all.slice(0, 3));
  });
});

describe('a motion as a file', () => {
  const made = scenario({ start: { heightM: 30 }, seconds: 4 });
  const controls = ['sa'];
  it('comes back as it was kept', () => {
    expect(readMotion(motionFile('Tern', made, 'level'), controls)).toEqual({
      ok: true,
      value: { format: 'tolvan-motion', version: 1, model: 'Tern', scenario: made, story: 'level' },
    });
  });
  it.each([
    ['{', ''],
    ['{}', '/format'],
    [motionFile('a', made, '').replace('"version": 1', '"version": 2'), '/version'],
    [
      motionFile('a', { ...made, hands: [{ atS: 1, controls: { sz: 0 } }] }, ''),
      '/scenario/hands/0/controls/sz',
    ],
    ['x'.repeat(10_000_000), ''],
  ])('%.30s: refused with its path', (text, path) => {
    const read = readMotion(text, controls);
    expect(read.ok ? 'taken' : read.problems[0]!.path).toBe(path);
  });
});
