import { describe, expect, it, vi } from 'vitest';
import { makeSetup } from '../../../tests/kit/setups';
import { applyPatch } from '../patch';
import { MOUNTINGS, type AirframeKind, type Mounting, type Setup } from '../setup';
import { allExpectations } from './checks';
import { diagnose, type Observation } from './diagnose';
import { predictAll } from './predict';
import { structuresOf } from './structures';

/** What is seen on the real model, asked about as the written Setup asks. */
function watch(written: Setup, real: Setup): Observation[] {
  const predictions = predictAll(real);
  return allExpectations(written).map(({ check, surface }) => ({
    check: check.id,
    surface: surface.id,
    seen: predictions.get(check.id)?.get(surface.id)?.movement ?? 'centre',
  }));
}

const sees = (setup: Setup, written: Setup) => JSON.stringify(watch(written, setup));

const allRight = (setup: Setup) => {
  const predictions = predictAll(setup);
  return allExpectations(setup).every(
    ({ check, surface, movement }) =>
      predictions.get(check.id)!.get(surface.id)!.movement === movement,
  );
};

const KINDS: AirframeKind[] = [
  'conventional',
  't-tail',
  'v-tail',
  'inverted-v-tail',
  'flying-wing',
  'three-channel',
];
const others = MOUNTINGS.filter((m) => m !== 'nose-up');

/** The real model differs from the written one by a mounting and by rods on other sides. */
function real(written: Setup, mounting: Mounting, rods: readonly number[]): Setup {
  const setup = structuredClone(written);
  setup.installation.mounting = mounting;
  for (const i of rods) {
    const { linkage } = setup.airframe.surfaces[i]!;
    linkage.sense = linkage.sense === 'same' ? 'opposite' : 'same';
  }
  return setup;
}

// Each diagnosis tries some forty models of the model: slow, and worth it.
vi.setConfig({ testTimeout: 120_000 });

describe('a unit fixed otherwise than written down', () => {
  it.each(KINDS)('%s: every one of the 23 others is found, and put right', (kind) => {
    const written = makeSetup(kind);
    for (const mounting of others) {
      const model = real(written, mounting, []);
      const seen = watch(written, model);
      const found = diagnose(written, seen);
      const words = `${kind}, ${mounting}`;
      expect(found.contradiction, words).toBeUndefined();
      // What it takes the model for gives exactly what was seen.
      expect(sees(found.learnedSetup, written), words).toBe(JSON.stringify(seen));
      expect(found.proved, words).toBe(true);
      expect(allRight(found.correctedSetup), words).toBe(true);
      // The truth is among the explanations, unless something simpler looks just the same.
      const [arrow, label] = mounting.split('-');
      const truth = `The unit is fixed with its arrow to the ${arrow}, label ${label}`;
      const named = found.candidates.some((c) => c.titles.join() === truth);
      expect(
        named || found.candidates[0]!.cost < 1,
        `${words}: ${JSON.stringify(found.candidates)}`,
      ).toBe(true);
    }
  });
  it.each(['conventional', 'v-tail', 'flying-wing'] as const)(
    '%s: with any one rod on the other side as well',
    (kind) => {
      const written = makeSetup(kind);
      // Every kind of rotation is among these: half turns, quarter turns, and axes changed round.
      for (const mounting of [
        'tail-up',
        'nose-down',
        'left-up',
        'up-tail',
        'nose-left',
        'down-left',
      ] as const)
        for (const rod of written.airframe.surfaces.keys()) {
          const model = real(written, mounting, [rod]);
          const seen = watch(written, model);
          const found = diagnose(written, seen);
          const words = `${kind}, ${mounting}, rod ${rod}`;
          expect(sees(found.learnedSetup, written), words).toBe(JSON.stringify(seen));
          expect(found.proved, words).toBe(true);
          expect(allRight(found.correctedSetup), words).toBe(true);
          // Never more faults than there are.
          expect(found.candidates[0]!.cost, words).toBeLessThanOrEqual(2);
        }
    },
  );
  it('told where the unit can be told, turned where it cannot', () => {
    const menu = makeSetup('v-tail');
    const told = diagnose(menu, watch(menu, real(menu, 'tail-up', [])));
    expect(told.changes.map((c) => c.title)).toEqual([
      'Tell the unit that it is fixed with its arrow to the tail, label up',
    ]);
    const flat = makeSetup('conventional', 'switch-receiver');
    const turned = diagnose(flat, watch(flat, real(flat, 'tail-up', [])));
    expect(turned.changes.map((c) => c.title)).toEqual([
      'Turn the unit: arrow to the nose, label up',
    ]);
  });
});

describe('one axis and two axes', () => {
  it('one axis wrong is never put on the mounting', () => {
    const written = makeSetup();
    const model = structuredClone(written);
    model.unit.traits.nominalSense.roll = -1;
    const found = diagnose(written, watch(written, model));
    expect(found.learned.map((c) => c.place)).toEqual(['unit']);
    expect(found.changes).toHaveLength(1);
  });
  it('two axes wrong together are: the unit is turned half round about the third', () => {
    const written = makeSetup();
    const model = structuredClone(written);
    model.unit.traits.nominalSense.roll = -1;
    model.unit.traits.nominalSense.pitch = 1;
    const found = diagnose(written, watch(written, model));
    expect(found.learned.map((c) => c.title)).toEqual([
      'The unit is fixed with its arrow to the tail, label up',
    ]);
  });
  it('says nothing about the mounting before two axes were seen', () => {
    const written = makeSetup();
    const model = real(written, 'tail-up', []);
    const seen = watch(written, model).filter((o) => o.check.includes('roll'));
    expect(diagnose(written, seen).learned.map((c) => c.place)).not.toContain('mounting');
  });
});

describe('plugs changed over', () => {
  it.each(['conventional', 'v-tail', 'flying-wing'] as const)('%s: every pair', (kind) => {
    const written = makeSetup(kind);
    const swaps = structuresOf(written).filter((s) => s.id.startsWith('swap'));
    expect(swaps.length).toBeGreaterThan(0);
    for (const swap of swaps) {
      const model = applyPatch(written, swap.patch);
      const seen = watch(written, model);
      const found = diagnose(written, seen);
      expect(sees(found.learnedSetup, written), swap.title).toBe(JSON.stringify(seen));
      expect(found.proved, swap.title).toBe(true);
      expect(
        found.candidates.some((c) => c.titles.join() === swap.title) ||
          found.candidates[0]!.cost <= 1,
        swap.title,
      ).toBe(true);
    }
  });
});

describe('what to look at next', () => {
  it('splits explanations that are equally good', () => {
    const written = makeSetup();
    for (const mounting of others) {
      const all = watch(written, real(written, mounting, []));
      const part = all.filter((o) => !o.check.includes('yaw'));
      const found = diagnose(written, part);
      if (found.candidates.length < 2 || found.lookNext.length === 0) continue;
      const next = found.lookNext[0]!.id;
      const after = diagnose(written, [...part, ...all.filter((o) => o.check === next)]);
      expect(after.candidates.length, mounting).toBeLessThan(found.candidates.length);
    }
  });
});
