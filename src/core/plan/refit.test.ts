import { describe, expect, it } from 'vitest';
import { makeSetup } from '../../../tests/kit/setups';
import {
  TRANSMITTERS,
  UNITS,
  answersOf,
  buildAirframe,
  rebuildAirframe,
  usualAnswers,
  type AirframeAnswers,
} from '../catalogue';
import { throwsOf } from '../chain';
import { allExpectations, predictAll } from '../directions';
import { applyPatch } from '../patch';
import { AIRFRAME_KINDS, parseSetup, type Setup } from '../setup';
import { prove } from '../verify';
import { composeSetup } from './compose';
import { differentialOf, setDifferential } from './differential';
import { refit } from './refit';
import { handsOn } from '../setup';

const flying = AIRFRAME_KINDS.filter((k) => k !== 'car' && k !== 'boat');
const ALL_ANSWERS: AirframeAnswers[] = flying.flatMap((kind) => {
  const withAilerons = usualAnswers(kind).ailerons !== 'none';
  const ailerons = withAilerons
    ? (['none', 'one-servo', 'y-lead', 'two-outputs', 'flaperons'] as const)
    : (['none'] as const);
  const hasRudder = !kind.endsWith('v-tail') && kind !== 'flying-wing';
  const wheels = hasRudder ? (['none', 'shared', 'separate'] as const) : (['none'] as const);
  return ailerons.flatMap((a) =>
    wheels.flatMap((wheel) =>
      ([0, 1, 2] as const).flatMap((motors) =>
        [false, true].map((extra) => ({
          kind,
          ailerons: a,
          flaps: extra,
          gear: extra,
          brake: extra,
          wheel,
          motors,
          rudder: kind === 'flying-wing' && extra,
        })),
      ),
    ),
  );
});

describe('answers an airframe was built from', () => {
  it('are read back off its parts, every combination', () => {
    for (const answers of ALL_ANSWERS) expect(answersOf(buildAirframe(answers))).toEqual(answers);
    expect(ALL_ANSWERS.length).toBeGreaterThan(200);
  });
  it('change what is asked for and leave what was measured', () => {
    const airframe = buildAirframe(usualAnswers('conventional'));
    airframe.surfaces[0]!.chordMm = 77;
    airframe.servos[0]!.rotation = 'reversed';
    airframe.measures.massG = 1234;
    const next = rebuildAirframe(airframe, { ...answersOf(airframe), flaps: true, motors: 2 });
    expect(next.surfaces[0]!.chordMm).toBe(77);
    expect(next.servos[0]!.rotation).toBe('reversed');
    expect(next.measures.massG).toBe(1234);
    expect(next.surfaces.some((s) => s.role === 'flap')).toBe(true);
    expect(next.motors).toHaveLength(2);
  });
});

const allRight = (setup: Setup) => {
  const predictions = predictAll(setup);
  return allExpectations(setup).every(
    ({ check, surface, movement }) =>
      predictions.get(check.id)!.get(surface.id)!.movement === movement,
  );
};

function refitted(setup: Setup, change: Parameters<typeof refit>[1]): Setup {
  const next = refit(setup, change);
  if (!next.ok) throw new Error(next.reasons.join('; '));
  expect(parseSetup(next.setup)).toMatchObject({ ok: true });
  return next.setup;
}

describe('refit', () => {
  it('fits every unit that suits, valid and right in every direction', () => {
    const setup = makeSetup('v-tail');
    let fitted = 0;
    for (const unit of Object.values(UNITS)) {
      const next = refit(setup, { unit });
      if (!next.ok) {
        expect(next.reasons.length, unit.name).toBeGreaterThan(0);
        continue;
      }
      fitted += 1;
      expect(parseSetup(next.setup), unit.name).toMatchObject({ ok: true });
      expect(allRight(next.setup), unit.name).toBe(true);
    }
    expect(fitted).toBeGreaterThanOrEqual(5);
  });
  it('fits every aeroplane transmitter and keeps reversal, ends and rates', () => {
    const setup = makeSetup();
    setup.program.outputs.find((o) => o.carries === 'elevator')!.minPct = -85;
    setup.program.inputs.find((i) => i.id === 'aileron')!.rates = [
      { when: { kind: 'switch', control: 'sc', position: 0 }, sharePct: 60, expoPct: 30 },
      { sharePct: 90, expoPct: 25 },
    ];
    setup.notes = 'kept';
    for (const transmitter of Object.values(TRANSMITTERS)) {
      if (handsOn(transmitter) !== 'sticks') continue;
      const next = refitted(setup, { transmitter });
      expect(next.program.outputs.find((o) => o.carries === 'elevator')!.minPct).toBe(-85);
      expect(next.program.inputs.find((i) => i.id === 'aileron')!.rates).toEqual([
        { sharePct: 90, expoPct: 25 },
      ]);
      expect(next.notes).toBe('kept');
      expect(allRight(next)).toBe(true);
    }
  });
  it('refuses a transmitter without the sticks, and says so', () => {
    const next = refit(makeSetup(), { transmitter: TRANSMITTERS['surface-four']! });
    expect(next).toEqual({
      ok: false,
      reasons: expect.arrayContaining(['This transmitter has no aileron stick.']) as string[],
    });
  });
  it('plans flaps and gear in, and leaves the program of the rest alone', () => {
    const setup = makeSetup();
    const airframe = rebuildAirframe(setup.airframe, {
      ...answersOf(setup.airframe),
      flaps: true,
      gear: true,
    });
    const next = refitted(setup, { airframe });
    expect(next.program.outputs.map((o) => o.carries)).toEqual(
      expect.arrayContaining(['flap', 'gear']),
    );
    expect(next.program.inputs).toEqual(setup.program.inputs);
  });
  it('plans a wheel brake in, switched and proven, and takes its wish away with it', () => {
    const setup = makeSetup();
    const braked = (brake: boolean) => ({
      airframe: rebuildAirframe(setup.airframe, { ...answersOf(setup.airframe), brake }),
    });
    const next = refitted(setup, braked(true));
    const devices = (of: Setup) => prove(of).results.find((r) => r.id === 'devices')!.failures;
    expect(devices(next)).toEqual([]);
    const { channel } = next.program.outputs.find((o) => o.carries === 'brake')!;
    const lines = next.program.lines.filter((l) => l.channel !== channel);
    expect(devices({ ...next, program: { ...next.program, lines } })).toMatchObject([
      { about: { surface: 'brake', how: 'still' } },
    ]);
    expect(refitted(next, braked(false)).intents.program.brake).toBeUndefined();
  });
  it('lets the transmitter mix where the unit leaves the choice', () => {
    const setup = makeSetup('flying-wing');
    expect(setup.unit.settings.wingType).toBe('delta');
    const next = refitted(setup, { mixer: 'transmitter' });
    expect(next.unit.settings.wingType).toBe('normal');
    expect(next.program.outputs.map((o) => o.carries)).toContain('elevon-left');
    expect(allRight(next)).toBe(true);
    expect(allRight(refitted(next, { mixer: 'unit' }))).toBe(true);
  });
});

describe('aileron differential', () => {
  const two = () =>
    composeSetup(
      'Two',
      buildAirframe({ ...usualAnswers('conventional'), ailerons: 'two-outputs' }),
      UNITS['menu-receiver']!,
      TRANSMITTERS['line-sixteen']!,
    );
  it('gives less down than up on both, whatever is reversed', () => {
    for (const reverse of [[], ['aileron'], ['aileron2'], ['aileron', 'aileron2']]) {
      const setup = two();
      for (const o of setup.program.outputs) if (reverse.includes(o.carries)) o.reversed = true;
      expect(differentialOf(setup)).toBe(0);
      const next = applyPatch(setup, setDifferential(setup, 40));
      expect(differentialOf(next)).toBe(40);
      for (const t of throwsOf(next).slice(0, 2)) {
        const [up, down] = [t.low, t.high].toSorted((a, b) => a.surfaceDeg - b.surfaceDeg);
        expect(down!.surfaceDeg / -up!.surfaceDeg).toBeCloseTo(0.6, 1);
      }
    }
  });
  it('is not offered where one channel works both', () => {
    expect(differentialOf(makeSetup())).toBeUndefined();
    expect(setDifferential(makeSetup(), 40)).toEqual([]);
  });
});
