import { describe, expect, it } from 'vitest';
import { addLine } from '../../../tests/kit/add-entries';
import { MUTATIONS } from '../../../tests/kit/mutations';
import { makeSetup } from '../../../tests/kit/setups';
import { share } from '../../../tests/kit/share';
import { sixServos } from '../../../tests/setups/all';
import { applyPatch } from '../patch';
import { kindOf, parseSetup, type Mode, type Setup } from '../setup';
import { proofOf, REQUIREMENTS, stateIn, verify, type Finding } from '../verify';
import { randomOf } from '../dice';
import {
  CENTRAL,
  drawOf,
  endedWell,
  fly,
  footprintOf,
  footprintWords,
  LOST_IN,
  motionFile,
  readMotion,
  sameOutcome,
  scenario,
  SHOWN_IN,
  shownOf,
  situationOf,
  SITUATIONS,
  storyWords,
  type SituationId,
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
  it.each(share(SPOILED, 48))('$requirement, $words: flies, and says what happens', ({ setup }) => {
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
  it('a mix that fights at the end of the stick alone is shown there', () => {
    const plain = sixServos.make();
    for (const output of plain.program.outputs)
      if (output.carries.startsWith('aileron')) Object.assign(output, { minPct: -40, maxPct: 40 });
    const setup = structuredClone(plain);
    const points = [
      [-100, -100],
      [-60, 0],
      [60, 0],
      [100, 100],
    ].map(([inPct, outPct]) => ({ inPct: inPct!, outPct: outPct! }));
    setup.program.shapes.push({ id: 'late', label: 'Late', points });
    for (const [carries, sharePct] of [
      ['flap', -100],
      ['flap2', 100],
    ] as const)
      addLine(setup, carries, {
        follows: { kind: 'control', id: 'stick-aileron' },
        sharePct,
        shape: 'late',
        purpose: 'mix',
      });
    const finding = verify(setup).find((f) => f.requirements.includes('mixes'))!;
    const way = Math.sign(finding.witness!.controls['stick-aileron']!);
    /** How far it rolls to the side of the stick, with the mix and without. */
    const rolls = (id: SituationId) =>
      [setup, plain].map((own) => {
        const outcome = fly(own, situationOf(setup, id, finding.witness));
        if (!outcome.ok) throw new Error(outcome.reason);
        return way * outcome.flown.reaction.rollDeg;
      });
    const [little, littlePlain] = rolls('stick');
    expect(little).toBeCloseTo(littlePlain!, 6);
    const shown = shownOf(setup, finding);
    expect(shown).toMatchObject({ ok: true, situation: 'whole-stick' });
    const [whole, wholePlain] = rolls('whole-stick');
    expect(wholePlain! - whole!).toBeGreaterThan(5);
  });
  it('says why nothing flies', () => {
    const setup = makeSetup();
    const finding: Finding = {
      rule: 'M12',
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

describe('what settings do is seen', () => {
  const ended = (setup: Setup, id: SituationId, mode: Mode) => {
    const state = stateIn(setup, proofOf(setup), mode, '').witness!;
    const outcome = fly(setup, situationOf(setup, id, state));
    if (!outcome.ok) throw new Error(outcome.reason);
    return outcome.flown;
  };
  it('hold on the rudder fights a turn (M33); switched off it turns', () => {
    const setup = makeSetup('conventional', 'menu-receiver', 'line-sixteen');
    setup.unit.settings.slots = setup.unit.settings.slots.map(() => 'hold');
    setup.unit.settings.axes.yaw.holdAllowed = true;
    const finding = verify(setup).find((f) => f.rule === 'M33')!;
    const shown = shownOf(setup, finding);
    if (!shown.ok) throw new Error(shown.why);
    expect(shown.situation).toBe('turn');
    const read = parseSetup(applyPatch(setup, finding.remedies[0]!.patch));
    if (!read.ok) throw new Error('the repair leaves no Setup');
    const [before, after] = [setup, read.value].map((s) => {
      const outcome = fly(s, shown.scenario);
      if (!outcome.ok) throw new Error(outcome.reason);
      return outcome.flown.ending.turnedDeg;
    });
    expect(after).toBeGreaterThan(25);
    expect(before).toBeLessThan(0.6 * after!);
  });
  it('full stick in self-levelling: with full gain it stands near its bank limit, with less it goes beyond', () => {
    const banked = (limit: number, knob: number) => {
      const setup = makeSetup();
      setup.unit.settings.angleLimitsDeg.roll = limit;
      const state = stateIn(setup, proofOf(setup), 'level', '').witness!;
      const made = situationOf(setup, 'full-stick', {
        ...state,
        controls: { ...state.controls, k1: knob },
      });
      const outcome = fly(setup, made);
      if (!outcome.ok) throw new Error(outcome.reason);
      return outcome.flown.ending.rollDeg;
    };
    for (const limit of [30, 60]) {
      expect(banked(limit, 100)).toBeGreaterThan(0.75 * limit);
      expect(banked(limit, 100)).toBeLessThan(limit + 3);
      // Half of the stick stays direct: the limit is no wall.
      expect(banked(limit, 0)).toBeGreaterThan(limit + 10);
    }
  });
  it('pitch that follows the throttle: the nose rises with power, and sinks without', () => {
    const plain = makeSetup();
    const follows = structuredClone(plain);
    follows.unit.settings.pitchWithThrottle = {
      aboveThrottlePct: 51,
      fullThrottlePitchDeg: 20,
      belowThrottlePct: 30,
      idlePitchDeg: -4,
    };
    const nose = (setup: Setup, atS: number) =>
      ended(setup, 'power', 'level').points.find((p) => p.timeS >= atS)!.pitchDeg;
    expect(nose(follows, 5.5)).toBeGreaterThan(nose(plain, 5.5) + 4);
    expect(nose(follows, 10.5)).toBeLessThan(nose(plain, 10.5));
  });
  it('a low rate leaves the correction on (M48): full stick rolls it slower than the repair lets it', () => {
    const setup = makeSetup();
    setup.unit.settings.slots = setup.unit.settings.slots.map(() => 'rate');
    for (const input of setup.program.inputs) for (const rate of input.rates) rate.sharePct = 45;
    const finding = verify(setup).find((f) => f.rule === 'M48')!;
    const shown = shownOf(setup, finding);
    if (!shown.ok) throw new Error(shown.why);
    const read = parseSetup(applyPatch(setup, finding.remedies[0]!.patch));
    if (!read.ok) throw new Error('the repair leaves no Setup');
    const [before, after] = [setup, read.value].map((s) => {
      const outcome = fly(s, shown.scenario);
      if (!outcome.ok) throw new Error(outcome.reason);
      return Math.abs(outcome.flown.reaction.rollDeg);
    });
    expect(before).toBeLessThan(0.7 * after!);
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
  const kept = (over: Partial<Parameters<typeof motionFile>[0]> = {}) =>
    motionFile({ model: 'Tern', scenario: made, draw: CENTRAL, story: 'level', ...over });
  it('comes back as it was kept', () => {
    expect(readMotion(kept(), controls)).toEqual({
      ok: true,
      value: { format: 'tolvan-motion', version: 1, model: 'Tern', scenario: made, story: 'level' },
    });
  });
  it('with the model that flew it, and where it ended: flown again it ends there', () => {
    const draw = drawOf(randomOf(4));
    const setup = makeSetup();
    const flown = (with_: Setup) => {
      const outcome = fly(with_, made, draw);
      if (!outcome.ok) throw new Error(outcome.reason);
      return outcome.flown.ending;
    };
    const read = readMotion(kept({ draw, ending: flown(setup) }), controls);
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    expect(read.value.draw).toEqual(draw);
    expect(sameOutcome(read.value.outcome!, flown(setup))).toBe(true);
    const heavier = structuredClone(setup);
    heavier.airframe.measures.massG *= 1.3;
    heavier.airframe.measures.cruiseMps *= 1.2;
    expect(sameOutcome(read.value.outcome!, flown(heavier))).toBe(false);
  });
  it.each([
    ['{', ''],
    ['{}', '/format'],
    [kept().replace('"version": 1', '"version": 2'), '/version'],
    [
      kept({ scenario: { ...made, hands: [{ atS: 1, controls: { sz: 0 } }] } }),
      '/scenario/hands/0/controls/sz',
    ],
    [kept({ draw: { ...CENTRAL, lift: 40 } }), '/draw/lift'],
    ['x'.repeat(10_000_000), ''],
  ])('%.30s: refused with its path', (text, path) => {
    const read = readMotion(text, controls);
    expect(read.ok ? 'taken' : read.problems[0]!.path).toBe(path);
  });
});
