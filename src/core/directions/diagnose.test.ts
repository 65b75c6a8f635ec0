import { describe, expect, it } from 'vitest';
import { makeSetup, watchAs } from '../../../tests/kit/setups';
import { share } from '../../../tests/kit/share';
import { buildAirframe, TRANSMITTERS, UNITS, usualAnswers } from '../catalogue';
import { movementOf } from '../chain';
import { applyPatch } from '../patch';
import { composeSetup } from '../plan';
import { AXES, type Axis, type Setup } from '../setup';
import { allExpectations } from './checks';
import { diagnose } from './diagnose';
import type { Observation } from './explain';
import { predictAll } from './predict';

const CHANNEL: Record<Axis, string> = { roll: 'aileron', pitch: 'elevator', yaw: 'rudder' };
const SERVOS: Record<Axis, string[]> = {
  roll: ['aileron-left', 'aileron-right'],
  pitch: ['elevator'],
  yaw: ['rudder'],
};

function clean(portReverse: boolean): Setup {
  const airframe = buildAirframe(usualAnswers('conventional'));
  const setup = composeSetup(
    'Test',
    airframe,
    UNITS['menu-receiver']!,
    TRANSMITTERS['line-sixteen']!,
  );
  setup.unit.traits.portReverse = portReverse;
  return setup;
}

/** A copy with the given things reversed on one axis. */
function seeded(base: Setup, axis: Axis, t: boolean, u: boolean, s: boolean): Setup {
  const setup = structuredClone(base);
  if (t) setup.program.outputs.find((o) => o.carries === CHANNEL[axis])!.reversed = true;
  if (u) setup.unit.settings.axes[axis].reversed = true;
  if (s)
    for (const servo of setup.airframe.servos)
      if (SERVOS[axis].includes(servo.id)) servo.rotation = 'reversed';
  return setup;
}

/** What a person with that model on the bench would report, from the chain. */
function watch(setup: Setup): Observation[] {
  const predictions = predictAll(setup);
  return allExpectations(setup).map(({ check, surface }) => ({
    check: check.id,
    surface: surface.id,
    seen: predictions.get(check.id)!.get(surface.id)!.movement,
  }));
}

const COMBINATIONS = AXES.flatMap((axis) =>
  [false, true].flatMap((t) =>
    [false, true].flatMap((u) => [false, true].map((s) => ({ axis, t, u, s }))),
  ),
);

/** Fewest changes by the truth table: stick wrong iff t≠s, correction wrong iff u≠s. */
function fewest(
  { t, u, s }: { t: boolean; u: boolean; s: boolean },
  portReverse: boolean,
): string[] {
  const stick = t !== s;
  const correction = u !== s;
  if (stick && correction) return portReverse ? ['servo'] : ['transmitter', 'unit'];
  return stick ? ['transmitter'] : correction ? ['unit'] : [];
}

describe.each([true, false])('reversal truth table, port reverse available: %s', (portReverse) => {
  const base = clean(portReverse);
  it.each(share(COMBINATIONS, 3))('$axis t=$t u=$u s=$s', (combination) => {
    const truth = seeded(base, combination.axis, combination.t, combination.u, combination.s);
    const diagnosis = diagnose(truth, watch(truth));
    expect(diagnosis.learned).toEqual([]);
    expect(diagnosis.proved).toBe(true);
    expect(diagnosis.changes.map((c) => c.place).sort()).toEqual(
      fewest(combination, portReverse).sort(),
    );
    const after = watch(diagnosis.correctedSetup);
    expect(after.map((o) => o.seen)).toEqual(allExpectations(truth).map((e) => e.movement));
  });

  it.each(share(COMBINATIONS, 3))(
    'the same when the Setup does not know: $axis t=$t u=$u s=$s',
    (c) => {
      // Rods and the unit's own sense differ from what is written down; channels are as entered.
      const written = seeded(base, c.axis, c.t, false, false);
      const truth = seeded(base, c.axis, c.t, false, c.s);
      if (c.u)
        truth.unit.traits.nominalSense[c.axis] = -truth.unit.traits.nominalSense[c.axis] as 1 | -1;
      const diagnosis = diagnose(written, watch(truth));
      expect(diagnosis.contradiction).toBeUndefined();
      expect(diagnosis.proved).toBe(true);
      // The same settings on the real model make it right.
      const fixed = applyPatch(
        truth,
        diagnosis.changes.flatMap((change) => change.patch),
      );
      expect(watch(fixed).map((o) => o.seen)).toEqual(
        allExpectations(truth).map((e) => e.movement),
      );
    },
  );
});

describe('diagnose', () => {
  it('names the elevator channel and the roll correction for the two-fault model', () => {
    const truth = seeded(
      seeded(clean(true), 'pitch', true, false, false),
      'roll',
      false,
      true,
      false,
    );
    // A reversed channel leaves the correction right, so the unit stays as it is.
    const { changes } = diagnose(truth, watch(truth));
    expect(changes.map((c) => c.title)).toEqual([
      'Reverse the roll correction in the unit’s menu',
      'Set channel 2 (elevator) to normal in the transmitter',
    ]);
    expect(changes[1]!.notElsewhere.join(' ')).toContain('which is right');
  });

  it('says nothing is proven before anything was seen', () => {
    const { verdicts, changes } = diagnose(clean(true), []);
    expect(verdicts).toHaveLength(3);
    expect(verdicts.every((v) => v.stick === 'unseen' && v.correction === 'unseen')).toBe(true);
    expect(changes).toEqual([]);
  });

  it('asks for the stick when only the correction was seen wrong', () => {
    const { lookNext } = diagnose(clean(true), [
      { check: 'correction-pitch', surface: 'elevator', seen: 'up' },
    ]);
    expect(lookNext.map((l) => l.check.id)).toEqual(['stick-pitch']);
  });

  it('takes one aileron going the wrong way for its own rod, not the channel', () => {
    const base = clean(false);
    const truth = structuredClone(base);
    truth.airframe.surfaces[1]!.linkage.sense = 'same';
    const { learned, changes } = diagnose(base, watch(truth));
    expect(learned.map((c) => c.atom)).toEqual(['rod-aileron-right']);
    expect(changes.map((c) => c.place)).toEqual(['linkage']);
  });

  it('reports a surface that stays still, with what to try', () => {
    const { silences, tries, verdicts } = diagnose(clean(true), [
      { check: 'correction-yaw', surface: 'rudder', seen: 'centre' },
    ]);
    expect(silences[0]!.sentence).toContain('Rudder did not move');
    expect(tries.map((t) => t.act).join()).toContain('gain fully up');
    expect(verdicts.find((v) => v.axis === 'yaw')!.correction).toBe('still');
  });

  it('refuses an observation of a surface that is not there', () => {
    expect(() =>
      diagnose(clean(true), [{ check: 'stick-roll', surface: 'keel', seen: 'up' }]),
    ).toThrow(/no surface "keel"/);
  });
});

describe('units that mix', () => {
  const mixed = ['v-tail', 'inverted-v-tail', 'flying-wing'].flatMap((kind) =>
    [
      'menu-receiver',
      'wizard-receiver',
      'switch-receiver',
      'fixed-order-receiver',
      'autopilot',
    ].map((unit) => makeSetup(kind as 'v-tail', unit)),
  );
  const plain = (setup: Setup) =>
    setup.program.outputs.filter((o) =>
      (setup.unit.settings.wingType === 'delta'
        ? ['aileron', 'elevator']
        : ['elevator', 'rudder']
      ).includes(o.carries),
    );
  it('with one stick channel reversed: that channel, and no plug', () => {
    let cases = 0;
    const models = share(mixed, 12);
    for (const written of models)
      for (const { channel } of plain(written)) {
        const real = structuredClone(written);
        const output = real.program.outputs.find((o) => o.channel === channel)!;
        output.reversed = !output.reversed;
        const { changes, proved } = diagnose(written, watchAs(written, real));
        expect(proved).toBe(true);
        expect(changes.map((c) => c.atom)).toEqual([`channel-${channel}`]);
        cases += 1;
      }
    expect(cases).toBe(2 * models.length);
  });
  it('set to another wing: found from the sticks alone', () => {
    const written = makeSetup('v-tail');
    const real = structuredClone(written);
    real.unit.settings.wingType = 'delta';
    const sticks = watchAs(written, real, true).filter((o) => o.check.startsWith('stick'));
    const { changes, unfinished, proved } = diagnose(written, sticks);
    expect([proved, unfinished]).toEqual([true, []]);
    expect(changes.map((c) => c.title)).toEqual(['Set the wing type in the unit to V-tail']);
  });
});

it('words follow the sign convention', () => {
  expect(movementOf({ role: 'elevator' }, 3)).toBe('down');
  expect(movementOf({ role: 'rudder' }, 3)).toBe('left');
});
