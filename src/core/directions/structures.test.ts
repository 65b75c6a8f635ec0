import { describe, expect, it } from 'vitest';
import { makeSetup, watchAs } from '../../../tests/kit/setups';
import { share } from '../../../tests/kit/share';
import { sixServos } from '../../../tests/setups/all';
import { withPart } from '../model';
import { applyPatch } from '../patch';
import { refit } from '../plan';
import { AXES, MOUNTINGS, type AirframeKind, type Mounting, type Setup } from '../setup';
import { factAtoms } from './atoms';
import { allExpectations } from './checks';
import { diagnose } from './diagnose';
import type { Observation } from './explain';
import { predictAll } from './predict';
import { structuresOf, type Structure } from './structures';

const KINDS: AirframeKind[] = [
  'conventional',
  't-tail',
  'v-tail',
  'inverted-v-tail',
  'flying-wing',
  'three-channel',
];
const others = MOUNTINGS.filter((m) => m !== 'nose-up');
const others2 = (setup: Setup) => structuresOf(setup).filter((s) => s.length === 1);
const allRight = (setup: Setup) => {
  const predictions = predictAll(setup);
  return allExpectations(setup).every(
    ({ check, surface, movement }) =>
      predictions.get(check.id)!.get(surface.id)!.movement === movement,
  );
};

/** The real model: structures and facts applied to what is written. */
const realOf = (written: Setup, parts: readonly Pick<Structure, 'patch'>[]) =>
  parts.reduce((setup, p) => applyPatch(setup, p.patch), written);

describe('a unit fixed otherwise than written down', () => {
  it.each(KINDS)('%s: the 23 others are put right', (kind) => {
    const written = makeSetup(kind);
    for (const mounting of share(others, 18)) {
      const model = mounted(written, mounting);
      const seen = watchAs(written, model, true);
      const found = diagnose(written, seen);
      const words = `${kind}, ${mounting}`;
      expect(found.contradiction, words).toBeUndefined();
      // What it takes the model for gives exactly what was seen.
      expect(watchAs(written, found.learnedSetup, true), words).toEqual(seen);
      expect(found.proved, words).toBe(true);
      expect(allRight(found.correctedSetup), words).toBe(true);
    }
  });
  it.each(['conventional', 'v-tail', 'flying-wing'] as const)(
    '%s: put right with any one rod on the other side as well',
    (kind) => {
      const written = makeSetup(kind);
      for (const mounting of share(others, 30))
        for (const rod of factAtoms(written).filter((a) => a.place === 'linkage')) {
          const model = applyPatch(mounted(written, mounting), rod.patch);
          const found = diagnose(written, watchAs(written, model, true));
          const words = `${kind}, ${mounting}, ${rod.id}`;
          expect(found.proved, words).toBe(true);
          expect(allRight(found.correctedSetup), words).toBe(true);
          // Never more faults than there are.
          expect(found.candidates[0]!.cost, words).toBeLessThanOrEqual(2);
        }
    },
  );
  it('told where the unit can be told, turned where it cannot', () => {
    const menu = makeSetup('v-tail');
    const told = diagnose(menu, watchAs(menu, mounted(menu, 'tail-up')));
    expect(told.changes.map((c) => c.title)).toEqual([
      'Set in the unit that it is mounted with its arrow to the tail, label up',
    ]);
    const flat = makeSetup('conventional', 'switch-receiver');
    const turned = diagnose(flat, watchAs(flat, mounted(flat, 'tail-up')));
    expect(turned.changes.map((c) => c.title)).toEqual([
      'Turn the unit: arrow to the nose, label up',
    ]);
  });
});

const mounted = (written: Setup, mounting: Mounting): Setup => ({
  ...written,
  installation: { ...written.installation, mounting },
});

describe('one axis and two axes', () => {
  const senses = (setup: Setup, axes: readonly (typeof AXES)[number][]) =>
    realOf(
      setup,
      factAtoms(setup).filter((a) => axes.some((axis) => a.id === `sense-${axis}`)),
    );
  it('one axis wrong is never put on the mounting', () => {
    const written = makeSetup();
    for (const axis of AXES) {
      const found = diagnose(written, watchAs(written, senses(written, [axis])));
      expect(found.learned.map((c) => c.place)).toEqual(['unit']);
      expect(found.changes).toHaveLength(1);
    }
  });
  it('two axes wrong together are: the unit is turned half round about the third', () => {
    const written = makeSetup();
    const found = diagnose(written, watchAs(written, senses(written, ['roll', 'pitch'])));
    expect(found.learned.map((c) => c.title)).toEqual([
      'The unit is mounted with its arrow to the tail, label up',
    ]);
  });
  it('says nothing about the mounting before two axes were seen', () => {
    const written = makeSetup();
    const seen = watchAs(written, mounted(written, 'tail-up')).filter((o) =>
      o.check.includes('roll'),
    );
    expect(diagnose(written, seen).learned.map((c) => c.place)).not.toContain('mounting');
  });
});

describe('every other single thing', () => {
  const MODELS = [
    ...KINDS.map((kind) => [kind, 'menu-receiver'] as const),
    ['conventional', 'fixed-order-receiver'],
    ['flying-wing', 'fixed-order-receiver'],
    ['v-tail', 'fixed-order-receiver'],
    ['conventional', 'satellite-gyro'],
    ['conventional', 'autopilot'],
    ['conventional', 'dial-gyro'],
  ] as const;
  it.each(share(MODELS, 6))(
    '%s with %s: offered, and its remedy brings the plan back',
    (kind, unit) => {
      const written = makeSetup(kind, unit);
      const usual = JSON.stringify(watchAs(written, written));
      const looked = others2(written)
        .filter(([structure]) => !structure!.circumstances)
        .map(([structure]) => ({
          structure,
          seen: watchAs(written, applyPatch(written, structure!.patch)),
        }));
      // What nobody could see is no case; it must not be that all of them are left out unnoticed.
      const seeable = looked.filter(({ seen }) => JSON.stringify(seen) !== usual);
      expect(seeable.length).toBeGreaterThanOrEqual(Math.ceil(looked.length / 3));
      for (const { structure, seen } of seeable) {
        const found = diagnose(written, seen);
        const named = [...found.candidates, ...found.dearer].some(
          (c) => c.titles.join() === structure!.title,
        );
        expect(named, structure!.title).toBe(true);
        if (found.learned.length > 0) {
          expect(found.proved, structure!.title).toBe(true);
          expect(allRight(found.correctedSetup), structure!.title).toBe(true);
        } else expect(found.tries.length, structure!.title).toBeGreaterThan(0);
      }
    },
  );
  it('a unit that was not armed: run the throttle up first', () => {
    const written = makeSetup('conventional', 'fixed-order-receiver');
    const seen = watchAs(written, written).map((o) =>
      o.check.startsWith('correction') ? { ...o, seen: 'centre' as const } : o,
    );
    const found = diagnose(written, seen);
    expect(found.tries[0]!.act).toMatch(/Propeller off.*25 %/);
    expect(found.learned).toEqual([]);
    // The others that would look the same are named as well, in the order of likelihood.
    expect(found.tries.map((t) => t.title).join()).toMatch(/gain is turned down.*is in off/);
  });
  it('damping where self-levelling should be: the position holds another mode', () => {
    const written = makeSetup();
    const slot = written.unit.settings.slots.indexOf('level');
    const real = applyPatch(written, [
      { op: 'replace', path: `/unit/settings/slots/${slot}`, value: 'rate' },
    ]);
    const found = diagnose(written, watchAs(written, real));
    expect(found.silences.map((s) => s.sentence).join()).toContain('rate damping');
    expect(found.candidates.map((c) => c.titles.join()).join()).toContain(
      `Position ${slot + 1} of the mode switch gives rate, not level`,
    );
  });
  it('one mode turned round by itself: said to be set in that mode', () => {
    const written = makeSetup();
    const turned: Observation[] = watchAs(written, written).map((o) =>
      o.check === 'correction-roll-level' ? { ...o, seen: o.seen === 'up' ? 'down' : 'up' } : o,
    );
    expect(diagnose(written, turned).contradiction).toContain('directions of its own');
  });
});

describe('what to look at next', () => {
  it.each(share(KINDS, 4))('%s: always splits explanations that are equally good', (kind) => {
    const written = makeSetup(kind);
    for (const mounting of others) {
      const all = watchAs(written, mounted(written, mounting), true);
      const asked = new Set(allExpectations(written).map((e) => `${e.check.id} ${e.surface.id}`));
      let known = all.filter(
        (o) => asked.has(`${o.check} ${o.surface}`) && !o.check.includes('yaw'),
      );
      let found = diagnose(written, known);
      for (let rounds = 0; found.lookNext.length > 0; rounds++) {
        const [look] = found.lookNext;
        const answers = all.filter(
          (o) =>
            o.check === look!.check.id && look!.surfaces.some((s) => s.surface.id === o.surface),
        );
        known = [...known, ...answers];
        const after = diagnose(written, known);
        const before = found.candidates.map((c) => c.titles.join());
        // Some of what was as good is ruled out, and nothing new takes its place at that price.
        expect(
          before.filter((t) => after.candidates.some((c) => c.titles.join() === t)).length,
          `${mounting}, ${look!.check.id}`,
        ).toBeLessThan(before.length);
        found = after;
        expect(rounds).toBeLessThan(12);
      }
    }
  });
});

describe('a model with twelve servos', () => {
  /** A sailplane with six servos and a second pair of ailerons and flaps, a second rudder and elevator. */
  const twelve = (): Setup => {
    const six = sixServos.make();
    const airframe = ['ailerons', 'flaps', 'rudder', 'elevator'].reduce((built, part) => {
      const more = withPart(built, part);
      if (!more.ok) throw new Error(more.reason);
      return more.airframe;
    }, six.airframe);
    const planned = refit(six, { airframe });
    if (!planned.ok) throw new Error(planned.reasons.join('; '));
    return planned.setup;
  };
  const written = twelve();
  const rods = factAtoms(written).filter((a) => a.place === 'linkage');
  const swaps = others2(written).filter(([s]) => s!.id.startsWith('swap-'));
  it('has them', () => {
    expect(written.airframe.servos).toHaveLength(12);
    expect(swaps.length).toBeGreaterThan(8);
  });
  it.each(share([...rods.keys()], 18))('rods, mounting, plugs: case %i is put right', (at) => {
    const swap = swaps[(at * 7) % swaps.length]![0]!;
    const mounting = others[(at * 5) % others.length]!;
    const pair = [rods[at]!, rods[(at + 5) % rods.length]!];
    for (const model of [
      realOf(written, pair),
      applyPatch(mounted(written, mounting), rods[at]!.patch),
      realOf(written, [swap]),
    ]) {
      const seen = watchAs(written, model, true);
      const found = diagnose(written, seen);
      expect(found.contradiction).toBeUndefined();
      expect(watchAs(written, found.learnedSetup, true)).toEqual(seen);
      expect(found.proved).toBe(true);
      expect(allRight(found.correctedSetup)).toBe(true);
    }
  });
});
