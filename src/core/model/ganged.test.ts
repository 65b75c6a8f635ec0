import { describe, expect, it } from 'vitest';
import { fitted, mattering, transmitterFor } from '../../../tests/kit/fitted';
import { twoOnElevator } from '../../../tests/kit/gang-faults';
import { makeSetup, watch } from '../../../tests/kit/setups';
import { share } from '../../../tests/kit/share';
import { answersOf, rebuildAirframe, UNITS, USUAL_STEERING } from '../catalogue';
import { gangedOf } from '../chain';
import { diagnose, settingAtoms } from '../directions';
import { applyPatch } from '../patch';
import { unsuited } from '../plan';
import { AIRFRAME_KINDS, parseSetup, type Airframe, type Setup } from '../setup';
import { createBench } from '../standin';
import { REQUIREMENTS } from '../verify';
import { decide, factsOf } from '../verify/engine';
import {
  busy,
  mirroredPart,
  movedPart,
  VARIANTS,
  withoutPart,
  withoutServo,
  withServo,
  type Changed,
} from './index';

const made = (changed: Changed): Airframe => {
  if (!changed.ok) throw new Error(changed.reason);
  return changed.airframe;
};
const secondOf = (airframe: Airframe) => gangedOf(airframe)[0]!.servo;
const idsOf = (list: readonly { id: string }[]) => list.map((s) => s.id);

const CASES = AIRFRAME_KINDS.flatMap((kind) =>
  Object.keys(UNITS).flatMap((unit) => {
    const { airframe } = makeSetup(kind, unit, transmitterFor(kind));
    return unsuited(airframe, UNITS[unit]!).length > 0
      ? []
      : airframe.surfaces.map((s) => ({ kind, unit, part: s.id }));
  }),
);

describe('one more servo on a part', () => {
  it.each(share(CASES, 10))(
    '$kind with $unit: on $part it is planned, proved and goes again',
    (c) => {
      const before = makeSetup(c.kind, c.unit, transmitterFor(c.kind));
      const after = fitted(before, made(withServo(before.airframe, c.part)));
      expect(mattering(after)).toEqual(mattering(before));
      const second = secondOf(after.airframe);
      expect(after.installation.plugs.flatMap((p) => p.drives)).toContain(second.id);
      expect(parseSetup(JSON.parse(JSON.stringify(after)))).toEqual({ ok: true, value: after });
      const alone = fitted(after, made(withoutServo(after.airframe, c.part, second.id)));
      expect(alone.airframe).toEqual(before.airframe);
      const without = withoutPart(after.airframe, c.part);
      if (without.ok) expect(idsOf(without.airframe.servos)).not.toContain(second.id);
    },
  );
  it('four at most, and none on a wheel whose steering is measured', () => {
    let { airframe } = makeSetup();
    for (let n = 0; n < 3; n++) airframe = made(withServo(airframe, 'rudder'));
    expect(airframe.surfaces.find((s) => s.id === 'rudder')!.ganged).toHaveLength(3);
    expect(withServo(airframe, 'rudder')).toEqual({
      ok: false,
      reason: 'a part can have 4 servos at most',
    });
    const car = makeSetup('car', 'steering-receiver', 'surface-four').airframe;
    const measured = { ...car, steering: { ...USUAL_STEERING } };
    expect(withServo(measured, car.surfaces[0]!.id)).toEqual({
      ok: false,
      reason: 'a wheel of a measured steering has no rods of its own',
    });
  });
  it('its mirror image has as many; halves have one each', () => {
    const { airframe } = twoOnElevator();
    const aside = made(movedPart(airframe, 'elevator', { rightMm: 120 }));
    const pair = made(mirroredPart(aside, 'elevator'));
    expect(gangedOf(pair)).toHaveLength(2);
    const halves = VARIANTS.find((v) => v.id === 'two-elevators')!;
    const halved = halves.add(airframe);
    expect(gangedOf(halved)).toEqual([]);
    expect(idsOf(halved.servos)).not.toContain(secondOf(airframe).id);
  });
  it('stays when an answer about the model changes', () => {
    const { airframe } = twoOnElevator();
    const flapped = rebuildAirframe(airframe, { ...answersOf(airframe), flaps: true });
    expect(gangedOf(flapped)).toHaveLength(1);
    expect(flapped.servos).toContainEqual(secondOf(airframe));
  });
  it('a servo that moves nothing now went with its part, a winch stays', () => {
    const { airframe } = twoOnElevator();
    const winch = { ...airframe.servos[0]!, id: 'winch' };
    const without = airframe.surfaces.filter((s) => s.id !== 'elevator');
    const servos = [...airframe.servos, winch];
    expect(idsOf(busy({ ...airframe, servos }, without))).toEqual(
      idsOf(servos).filter((id) => !/^elevator/.test(id)),
    );
  });
});

describe('a part with two servos', () => {
  it('both ask for the same angle, whatever the stick and the model do', () => {
    const setup = twoOnElevator(true);
    const [ganged] = gangedOf(setup.airframe);
    const bench = createBench(setup);
    for (const stick of [-100, -30, 0, 55, 100])
      for (const tilt of [-40, 0, 40]) {
        bench.setControl('stick-elevator', stick);
        bench.tilt('pitch', tilt);
        expect(Math.abs(ganged!.apartDeg(bench.advance(0.05)))).toBeLessThan(0.01);
      }
  });
  it('no way to reverse a direction sets them against each other', () => {
    for (const setup of [twoOnElevator(), twoOnElevator(true), reversible(twoOnElevator(true))])
      for (const atom of settingAtoms(setup)) {
        const turned = applyPatch(setup, atom.patch);
        expect(fights(turned), atom.title).toBe(false);
      }
  });
  it('seen the wrong way round, both rods are moved', () => {
    const setup = twoOnElevator();
    const real = structuredClone(setup);
    const own = real.airframe.surfaces.find((s) => s.id === 'elevator')!;
    for (const { linkage } of [own, ...own.ganged!])
      linkage.sense = linkage.sense === 'same' ? 'opposite' : 'same';
    const { learnedSetup, correctedSetup, proved } = diagnose(setup, watch(real));
    expect(proved).toBe(true);
    for (const known of [learnedSetup, correctedSetup]) expect(fights(known)).toBe(false);
  });
});

/** Whether the servos of some part are not proved to pull together. */
function fights(setup: Setup): boolean {
  const facts = factsOf(setup);
  const claims = REQUIREMENTS.find((r) => r.id === 'ganged')!.claims(facts);
  expect(claims).not.toEqual([]);
  return decide(facts, claims).some((v) => v.failures.length > 0);
}

/** With servos that can be reversed. */
const reversible = (setup: Setup): Setup => ({
  ...setup,
  airframe: {
    ...setup.airframe,
    servos: setup.airframe.servos.map((s) => ({ ...s, reversible: true })),
  },
});
