import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { makeSetup } from '../../../tests/kit/setups';
import { UNITS } from '../catalogue';
import { AIRFRAME_KINDS, MOUNTINGS } from '../setup';
import { eulerMatrix, mountingMatrix, multiply } from '../space';
import {
  mountingAdvice,
  mountingChoices,
  mountingSchools,
  mountingScript,
  nearestMounting,
  seatReport,
} from './index';
import { mountingWords } from '../setup';

describe('the 24 ways to sit', () => {
  it.each(Object.keys(UNITS))('%s: what it can be told has no reason, all else has one', (name) => {
    const { traits } = UNITS[name]!;
    const choices = mountingChoices(traits);
    expect(choices.map((c) => c.mounting)).toEqual([...MOUNTINGS]);
    for (const { mounting, refused, arrow, label } of choices) {
      expect(mounting).toBe(`${arrow}-${label}`);
      expect(refused === undefined, mounting).toBe(traits.orientations.includes(mounting));
    }
  });
  it('names the arrow when no label would help, and the label when the arrow may be so', () => {
    const flat = mountingChoices({ orientations: ['nose-up', 'nose-down'] });
    const of = (m: string) => flat.find((c) => c.mounting === m)!.refused;
    expect(of('tail-up')).toBe('its arrow may point only to the nose');
    expect(of('nose-left')).toBe('with its arrow to the nose its label may face only up or down');
    expect(of('nose-down')).toBeUndefined();
  });
  it('is said in words', () =>
    expect(
      (['conventional', 'car', 'boat'] as const).map((kind) =>
        mountingWords('tail-down', { kind }),
      ),
    ).toEqual([
      'arrow to the tail, label down',
      'arrow to the rear, label down',
      'arrow to the stern, label down',
    ]));
});

describe('the nearest of them', () => {
  it.each([...MOUNTINGS])('%s is its own nearest, and stays it when knocked', (mounting) => {
    const square = mountingMatrix(mounting);
    expect(nearestMounting(square)).toMatchObject({ mounting });
    expect(nearestMounting(square).offDeg).toBeCloseTo(0, 4);
    const knock = fc.double({ min: -20, max: 20, noNaN: true });
    fc.assert(
      fc.property(knock, knock, knock, (r, p, y) => {
        const knocked = nearestMounting(multiply(eulerMatrix(r, p, y), square));
        expect(knocked.mounting).toBe(mounting);
        expect(knocked.offDeg).toBeLessThan(45);
      }),
      { numRuns: 40 },
    );
  });
  it('says how far off it is: a turn of 30° is 30°', () =>
    expect(nearestMounting(eulerMatrix(0, 0, 30)).offDeg).toBeCloseTo(30, 6));
});

describe('what its place costs', () => {
  it('180°/s at 0.10 m is 0.987 m/s², 5.7° of level (rigid-body kinematics)', () => {
    const setup = makeSetup();
    setup.installation.positionMm = { x: 0, y: 100, z: 0 };
    const [roll] = seatReport(setup).figures;
    expect(roll!.accelerationMps2).toBeCloseTo(0.987, 3);
    expect(roll!.errorDeg).toBeCloseTo(5.75, 1);
    expect(seatReport(setup).matters).toBe(true);
  });
  it('at the balance point it costs nothing', () => {
    const report = seatReport(makeSetup());
    expect(report.figures.every((f) => f.errorDeg === 0)).toBe(true);
    expect(report.matters).toBe(false);
    expect(report.leak).toEqual([]);
  });
  it('on the roll axis a roll costs nothing, a pull-up does', () => {
    const setup = makeSetup();
    setup.installation.positionMm = { x: 300, y: 0, z: 0 };
    const [roll, start, pitch] = seatReport(setup).figures;
    expect(roll!.errorDeg).toBe(0);
    expect(start!.errorDeg).toBe(0);
    expect(pitch!.errorDeg).toBeGreaterThan(1);
  });
  it('a unit that only damps may sit anywhere: a rigid body has one angular velocity', () => {
    const setup = makeSetup('conventional', 'dial-gyro');
    setup.installation.positionMm = { x: 400, y: 90, z: 40 };
    expect(seatReport(setup)).toMatchObject({
      matters: false,
      verdict: expect.stringContaining('only damps') as string,
    });
  });
  it.each([
    [5, 0.0872],
    [-5, 0.0872],
    [10, 0.1736],
    [30, 0.5],
  ])('skewed by %s° it leaks %s', (yaw, share) => {
    const setup = makeSetup();
    setup.installation.skewDeg.yaw = yaw;
    const [leak] = seatReport(setup).leak;
    expect(leak).toMatchObject({ axis: 'yaw', deg: yaw });
    expect(leak!.share).toBeCloseTo(share, 4);
  });
  it('the schools are all named, with what the numbers of this model say', () => {
    const setup = makeSetup();
    const [where, tilt] = mountingSchools(setup);
    expect(where!.schools).toHaveLength(3);
    expect(where!.says).toBe(seatReport(setup).verdict);
    expect(tilt!.says).toContain('nothing leaks');
    setup.installation.skewDeg.pitch = 3;
    setup.installation.skewDeg.roll = 4;
    expect(mountingSchools(setup)[1]!.says).toBe(
      '3.0° nose up leaks 5.2 % of roll into yaw, 4.0° to the right leaks 7.0 % of pitch into yaw; level capture removes the tilt itself from self-levelling.',
    );
  });
});

describe('advice and test', () => {
  it.each([...AIRFRAME_KINDS])('%s: what is said suits it', (kind) => {
    const ground = kind === 'car' || kind === 'boat';
    const setup = ground ? makeSetup(kind, 'steering-receiver', 'surface-four') : makeSetup(kind);
    const advice = mountingAdvice(setup).join(' ');
    expect(advice).toContain('foam tape');
    expect(advice.includes('Insulate it from the chassis')).toBe(ground);
    expect(advice.includes('right angles')).toBe(setup.unit.traits.place === 'receiver');
    expect(advice.includes('clear of the motor')).toBe(setup.airframe.motors.length > 0);
  });
  it('the picture to compare is what the unit was told; wrong where that is not how it sits', () => {
    const setup = makeSetup();
    expect(mountingScript(setup).map((s) => s.sees[0])).toEqual([
      'arrow to the nose, label up',
      'arrow to the nose, label up',
    ]);
    setup.installation.mounting = 'tail-up';
    expect(mountingScript(setup)[1]!.sees[0]).toMatch(/^WRONG in the Setup/);
  });
});
