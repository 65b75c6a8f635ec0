import { describe, expect, it } from 'vitest';
import { makeSetup } from '../../../tests/kit/setups';
import { TRANSMITTERS, UNITS, buildAirframe, usualAnswers } from '../catalogue';
import { composeSetup, unsuited } from '../plan';
import { AIRFRAME_KINDS } from '../setup';
import { aidsFor, allExpectations, controlsFor, predictAll } from './index';

const PAIRS = Object.keys(UNITS).flatMap((unit) =>
  AIRFRAME_KINDS.filter(
    (kind) => unsuited(buildAirframe(usualAnswers(kind)), UNITS[unit]!).length === 0,
  ).map((kind) => [unit, kind] as const),
);
const make = (unit: string, kind: (typeof AIRFRAME_KINDS)[number]) =>
  composeSetup(
    'Unsure',
    buildAirframe(usualAnswers(kind)),
    UNITS[unit]!,
    TRANSMITTERS[kind === 'car' || kind === 'boat' ? 'surface-four' : 'line-sixteen']!,
  );

describe('somebody who could not tell', () => {
  it.each(PAIRS)('%s in a %s: three times, and there is still a way to see it', (unit, kind) => {
    const setup = make(unit, kind);
    const predicted = predictAll(setup);
    for (const expectation of allExpectations(setup)) {
      const aids = aidsFor(setup, expectation);
      const words = `${expectation.check.id} ${expectation.surface.id}`;
      expect(aids.length, words).toBeGreaterThanOrEqual(3);
      expect(new Set(aids.map((a) => a.title)).size, words).toBe(aids.length);
      for (const { instead } of aids) {
        if (!instead) continue;
        // The other movement shows the same surface on the same axis, and it really stays over there.
        expect(instead.surface.id, words).toBe(expectation.surface.id);
        expect(instead.check, words).toMatchObject({ axis: expectation.check.axis, way: 'held' });
        expect(predicted.get(instead.check.id)!.get(instead.surface.id)!.movement, words).toBe(
          instead.movement,
        );
      }
    }
  });
  it('a unit that arms by throttle is armed first, propeller off', () => {
    const setup = makeSetup('conventional', 'fixed-order-receiver');
    const roll = allExpectations(setup).find((e) => e.check.id === 'correction-roll')!;
    expect(aidsFor(setup, roll)[0]!.does).toMatch(/Propeller off: run the throttle past 25 %/);
    const always = makeSetup();
    const same = allExpectations(always).find((e) => e.check.id === 'correction-roll')!;
    expect(aidsFor(always, same)[0]!.does).not.toContain('throttle');
  });
  it('the gain is turned up where a hand can turn it', () => {
    const does = (unit: string) => {
      const setup = makeSetup('conventional', unit);
      const check = allExpectations(setup).find((e) => e.check.kind === 'correction')!;
      return aidsFor(setup, check)[0]!.does;
    };
    expect(does('menu-receiver')).toContain('Turn the gain fully up');
    expect(does('dial-gyro')).toContain('Turn its dials up');
  });
  it('levelling keeps a surface over: offered for roll and pitch, not for yaw', () => {
    const setup = makeSetup();
    const instead = (check: string) =>
      aidsFor(
        setup,
        allExpectations(setup).find((e) => e.check.id === check)!,
      ).find((a) => a.instead)?.instead?.check.id;
    expect(instead('correction-roll')).toBe('correction-roll-level');
    expect(instead('correction-pitch')).toBe('correction-pitch-level');
    expect(instead('correction-yaw')).toBeUndefined();
  });
});

describe('where the controls must be', () => {
  it('says only those that steer the unit, as they stand for the check', () => {
    const setup = makeSetup();
    const of = (id: string) =>
      controlsFor(setup, allExpectations(setup).find((e) => e.check.id === id)!.check).map(
        (c) => c.label,
      );
    expect(of('stick-roll')[0]).toBe('Switch A far');
    expect(of('correction-roll')).toEqual(['Switch A middle', 'Knob 1 at 100 %']);
    expect(of('correction-roll-level')[0]).toBe('Switch A near');
  });
});
