import { describe, expect, it } from 'vitest';
import { FLYING_KINDS, makeSetup } from '../../../tests/kit/setups';
import { share } from '../../../tests/kit/share';
import { newestSetups } from '../../../tests/kit/lake-hollow';
import { bankOfDrift, levels, pitchLowBy } from '../level';
import { kindOf, type Setup } from '../setup';
import { proofOf } from '../verify';
import {
  BATCH,
  launchesOf,
  levelHands,
  levelOffBy,
  play,
  readyToFly,
  scenario,
  settling,
  thrownWords,
  type LevelHands,
} from './index';

/** What it settles at, level captured so much off. */
function settles(setup: Setup, controls: LevelHands, pitch: number, roll: number) {
  const wrong = structuredClone(setup);
  wrong.unit.settings.levelOffsetDeg.pitch += pitch;
  wrong.unit.settings.levelOffsetDeg.roll += roll;
  const ready = readyToFly(wrong);
  if (!ready.ok) throw new Error(ready.reason);
  const watch = settling(30);
  play(ready.pilot, scenario({ start: { heightM: 400, controls }, seconds: 60 }), [watch], BATCH);
  return watch.answer();
}

describe('level, captured right and wrong', () => {
  it.each(share(FLYING_KINDS, 4))(
    '%s: as it flies it holds its height; what it does wrong is led back to the capture',
    (kind) => {
      const setup = makeSetup(kind);
      const hands = levelHands(setup, proofOf(setup))!;
      const right = settles(setup, hands, 0, 0);
      expect(Math.abs(right.sinkMps)).toBeLessThan(0.1);
      expect(Math.abs(right.turnDegS)).toBeLessThan(0.1);
      const low = settles(setup, hands, -3, 0);
      expect(low.sinkMps).toBeGreaterThan(0.1);
      const off = [
        ...levelOffBy(
          setup,
          hands,
          { axis: 'pitch', sinkMps: low.sinkMps, speedMps: low.airspeedMps },
          4,
        ),
      ].at(-1)!;
      expect(off.usualDeg).toBeCloseTo(-3, 0);
      expect(off.leastDeg).toBeLessThanOrEqual(off.usualDeg);
      expect(off.mostDeg).toBeGreaterThanOrEqual(off.usualDeg);
      // The path alone says less: a unit turns back only a part.
      expect(pitchLowBy(low.sinkMps, low.airspeedMps)).toBeLessThan(3);
      if (kind === 'three-channel') return;
      const aside = settles(setup, hands, 0, 4);
      const turned = [
        ...levelOffBy(
          setup,
          hands,
          { axis: 'roll', turnDegPerS: aside.turnDegS, speedMps: aside.airspeedMps },
          1,
        ),
      ].at(-1)!;
      expect(turned.usualDeg).toBeCloseTo(4, 0);
      expect(bankOfDrift(aside.turnDegS, aside.airspeedMps)).toBeCloseTo(aside.rollDeg, 0);
    },
  );
  it('a model whose motion does not depend on it says nothing', () => {
    const setup = makeSetup('three-channel');
    const drift = { axis: 'roll', turnDegPerS: 3, speedMps: 10 } as const;
    expect([...levelOffBy(setup, levelHands(setup, proofOf(setup))!, drift, 2)]).toEqual([]);
  });
  it('every shipped model that levels holds its height with its level as it is written down', () => {
    const shipped = newestSetups().filter((s) => kindOf(s.airframe).moves === 'air' && levels(s));
    expect(shipped.length).toBeGreaterThan(5);
    for (const setup of share(shipped, 5)) {
      const hands = levelHands(setup, proofOf(setup));
      if (!hands) continue;
      expect(Math.abs(settles(setup, hands, 0, 0).sinkMps), setup.name).toBeLessThan(0.1);
    }
  });
});

describe('thrown by hand', () => {
  it('slow throws go worse than quick ones, and it is said how', () => {
    const sailplane = newestSetups().find((s) => s.intents.program.launch)!;
    const all = [...launchesOf(sailplane, 4)].at(-1)!;
    expect(all.map((t) => t.speedMps)).toEqual([6, 7, 8, 9, 10]);
    expect(all[0]!.lost).toBeGreaterThanOrEqual(all[4]!.lost);
    for (const t of all) {
      expect(t.flights).toBe(4);
      expect(thrownWords(t)).toMatch(/^\d+ m\/s: (flies away in|on the ground every)/);
    }
  });
});
