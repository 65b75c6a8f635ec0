import { describe, expect, it } from 'vitest';
import {
  bankOfDrift,
  G_MPS2,
  leverArm,
  steadyTurn,
  pitchLowBy,
  pitchOn,
  skewLeak,
  wedgeFor,
} from './index';

describe('wedge heights, against tables of sines', () => {
  it.each([
    // base, standing, wanted, end, height: sin 1° 0.01745, 5° 0.08716, 7° 0.12187, 10° 0.17365.
    [1000, 0, 1, 'nose', 17.45],
    [1000, 0, 5, 'nose', 87.16],
    [660, 9, 2, 'tail', 80.43],
    [500, 10, 0, 'tail', 86.82],
    [800, 3, 3, 'nothing', 0],
  ] as const)('%s mm from %s° to %s°: %s by %s mm', (base, from, to, under, height) => {
    const wedge = wedgeFor(base, from, to);
    expect(wedge.under).toBe(under);
    expect(wedge.heightMm).toBeCloseTo(height, 1);
    if (wedge.under !== 'nothing')
      expect(pitchOn(base, from, wedge.under, wedge.heightMm)).toBeCloseTo(to, 6);
  });
  it('a block that is 1° of error too high shows as 1°', () => {
    const wedge = wedgeFor(700, 8, 2);
    expect(pitchOn(700, 8, 'tail', wedge.heightMm + wedge.mmPerDeg)).toBeCloseTo(1, 1);
  });
});

describe('corrections from flight', () => {
  it('sinking 0.8 m/s at 14 m/s: captured 3.3° low', () => {
    expect(pitchLowBy(0.8, 14)).toBeCloseTo(3.276, 2);
    expect(pitchLowBy(-0.8, 14)).toBeCloseTo(-3.276, 2);
    expect(pitchLowBy(99, 14)).toBe(90);
  });
  it('a drift is a bank: 5.25°/s at 120 kn is 30° (FAA-H-8083-25)', () => {
    expect(bankOfDrift(5.25, (120 * 1852) / 3600)).toBeCloseTo(30, 0);
    expect(bankOfDrift(-3, 12)).toBeLessThan(0);
  });
});

describe('where the unit sits', () => {
  it('skewed 5° it leaks 8.72 %', () => expect(skewLeak(5)).toBeCloseTo(0.0872, 4));
  const rolling = (rate: number, change = 0) => ({
    ratesDegPerS: [rate, 0, 0] as const,
    changeDegPerS2: [change, 0, 0] as const,
    loadG: 1,
  });
  it('180°/s at 0.10 m is 0.987 m/s²', () => {
    const arm = leverArm(rolling(180), [0, 100, 0]);
    expect(arm.accelerationMps2).toBeCloseTo(0.987, 3);
    expect(arm.errorDeg).toBeCloseTo(5.75, 1);
    expect(leverArm(rolling(180), [0, 0, 0]).errorDeg).toBe(0);
    // On the axis of the roll itself nothing is felt.
    expect(leverArm(rolling(180), [100, 0, 0]).accelerationMps2).toBeCloseTo(0, 9);
  });
  it('the start of a roll is felt as well: α×r', () => {
    const arm = leverArm(rolling(0, 600), [0, 0, -100]);
    expect(arm.accelerationMps2).toBeCloseTo((600 * Math.PI * 0.1) / 180, 6);
  });
  it('a steady turn is about the upright of the earth, against n·g', () => {
    const turn = steadyTurn(40, 60);
    expect(turn.loadG).toBeCloseTo(2);
    const omega = (40 * Math.PI) / 180;
    // Ahead of the balance point: pulled straight outward along the body, whatever the bank.
    const arm = leverArm(turn, [200, 0, 0]);
    expect(arm.accelerationMps2).toBeCloseTo(omega * omega * 0.2, 6);
    expect(arm.errorDeg).toBeCloseTo(
      (Math.atan2(omega * omega * 0.2, 2 * G_MPS2) * 180) / Math.PI,
      6,
    );
    // Out along the wing only the part of the wing that is level with the turn counts.
    expect(leverArm(turn, [0, 200, 0]).accelerationMps2).toBeCloseTo(
      omega * omega * 0.2 * Math.cos((60 * Math.PI) / 180),
      6,
    );
  });
});
