import { beforeAll, describe, expect, it } from 'vitest';
import { TESTS } from '@/core/logbook';
import { rewrite } from '@/core/plan';
import { WISHES, type Setup } from '@/core/setup';
import { sheetFor } from '@/core/sheets';
import { prove, verify } from '@/core/verify';
import { bySheetAlone } from '../kit/by-sheet';
import { replay } from '../kit/replay';
import * as shapes from './all';
import { homecomer, jet, singleAxis } from './all';
import { Model, type Shape } from './kit';

const SHAPES: readonly Shape[] = Object.values(shapes);

it('twenty-nine shapes stand here', () => expect(SHAPES.length).toBe(29));

it('a receiver that can only hold brings nothing home: a stop that says so', () => {
  const setup = homecomer.make();
  setup.installation.receiver = { lost: 'holds', tellsUnit: false };
  const stops = verify(setup).filter((f) => f.severity === 'stop');
  expect(stops.map((f) => f.rule)).toEqual(stops.map(() => 'M13'));
  expect(stops.map((f) => f.says).join(' ')).toContain(
    'the receiver in front can only hold the last values',
  );
  setup.installation.receiver = { lost: 'no-pulses', tellsUnit: false };
  expect(verify(structuredClone(setup)).filter((f) => f.severity === 'stop')).toEqual([]);
});

it('slow gear that goes nowhere is found as any other', () => {
  const setup = jet.make();
  setup.program.lines.find((l) => l.id === 'gear')!.sharePct = 0;
  const found = verify(setup).filter((f) => f.severity !== 'note');
  expect(found.map((f) => f.says).join(' ')).toMatch(/gear|retract/i);
});

it('a value on one side of a sign law that is not what was wished is found', () => {
  const setup = singleAxis.make();
  setup.program.lines.find((l) => l.id === 'gain-3')!.sharePct /= 2;
  expect(verify(setup).map((f) => f.says)).toContainEqual(
    expect.stringContaining('where you chose 62.5 %'),
  );
});

describe.each(SHAPES)('$name', ({ make, drives, cautions = {} }) => {
  // One for all that only look at it: what was worked out of it for one serves the next.
  let setup: Setup;
  beforeAll(() => {
    setup = make();
  });
  it('is planned, and every choice written again changes nothing', () => {
    for (const wish of WISHES)
      expect(JSON.stringify(rewrite(setup, wish).setup.program), wish).toBe(
        JSON.stringify(setup.program),
      );
  });
  it('is proved: no stop, and no caution but those that are right', () => {
    expect(prove(setup).complete).toBe(true);
    const found = verify(setup)
      .filter((f) => f.severity !== 'note' && !(f.severity === 'caution' && f.rule in cautions))
      .map((f) => `${f.severity} ${f.rule}: ${f.says}`);
    expect(found).toEqual([]);
    for (const rule of Object.keys(cautions))
      expect(verify(setup).map((f) => f.rule)).toContain(rule);
  });
  it('is printed complete', () => {
    expect(replay(bySheetAlone(setup), 9, 150)).toEqual(replay(setup, 9, 150));
    const sheet = sheetFor(setup);
    expect(sheet.warnings.filter((w) => !/are needed/.test(w))).toEqual([]);
    for (const { steps } of sheet.sections)
      for (const { value } of steps) expect(value).not.toMatch(/undefined|NaN/);
  });
  it('is tested: every test has its steps in words', () => {
    const steps = Object.values(TESTS).flatMap((t) => t.script(setup));
    expect(steps.length).toBeGreaterThan(12);
    for (const s of steps) expect(`${s.does} ${s.sees.join()}`).not.toMatch(/undefined|NaN/);
  });
  it('does what it must when it is driven', () => drives(new Model(make())));
});
