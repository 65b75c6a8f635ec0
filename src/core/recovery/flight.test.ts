import { describe, expect, it } from 'vitest';
import { loadFactor, turnRadiusM, turnRateDegPerS } from '../level';
import { footprint, fromInverted } from './flight';

const KNOT_MPS = 1852 / 3600;
const FOOT_M = 0.3048;

describe('turns, against FAA-H-8083-25, Pilot’s Handbook of Aeronautical Knowledge', () => {
  it('120 kn at 30° bank: 2 215 ft, 5.25°/s', () => {
    // The handbook's rounded constants give 2 215 ft; with g = 9.80665 it is 2 209 ft.
    expect(turnRadiusM(120 * KNOT_MPS, 30) / FOOT_M / 2215).toBeCloseTo(1, 2);
    expect(turnRateDegPerS(120 * KNOT_MPS, 30)).toBeCloseTo(5.25, 1);
  });
  it.each([
    [30, 1.155],
    [45, 1.414],
    [60, 2.0],
  ])('load factor at %s°: %s', (bank, n) => expect(loadFactor(bank)).toBeCloseTo(n, 3));
  it('wings level is no turn', () => expect(turnRadiusM(12, 0)).toBe(Infinity));
});

describe('glide footprint', () => {
  const model = { heightM: 50, glideRatio: 10, speedMps: 10, windMps: 0, bankDeg: 0 };
  it('in still air is height times glide ratio, in the time the sink takes', () => {
    const f = footprint(model);
    expect(f.downwindM).toBeCloseTo(500);
    expect(f.upwindM).toBeCloseTo(500);
    expect(f.timeS).toBeCloseTo(50 / f.sinkMps);
    expect(Math.hypot(f.sinkMps, f.sinkMps * 10)).toBeCloseTo(10);
  });
  it('is carried by the wind for as long as it flies', () => {
    const f = footprint({ ...model, windMps: 5 });
    expect(f.downwindM - 500).toBeCloseTo(5 * f.timeS);
    expect(500 - f.upwindM).toBeCloseTo(5 * f.timeS);
    expect(footprint({ ...model, windMps: 30 }).upwindM).toBe(0);
  });
  it('circling comes down sooner and stays nearer', () => {
    const straight = footprint(model);
    const circle = footprint({ ...model, bankDeg: 30 });
    expect(circle.sinkMps / straight.sinkMps).toBeCloseTo(1.1547 ** 1.5, 3);
    expect(circle.downwindM).toBeCloseTo(2 * circle.radiusM);
    expect(circle.downwindM).toBeLessThan(100);
  });
});

describe('from inverted to level', () => {
  it('rolls half a turn, then pulls out of what it has fallen', () => {
    const r = fromInverted({ rollRateDegPerS: 180, speedMps: 15, delayS: 0 });
    expect(r.rollS).toBe(1);
    expect(r.rollingM).toBeCloseTo(4.9, 1);
    expect(r.heightM).toBeCloseTo(r.rollingM + r.pullOutM);
    expect(r.pullOutM).toBeGreaterThan(1);
  });
  it('costs more with a delay and less with a quick roll', () => {
    const at = (rollRateDegPerS: number, delayS: number) =>
      fromInverted({ rollRateDegPerS, speedMps: 15, delayS }).heightM;
    expect(at(180, 0.5)).toBeGreaterThan(at(180, 0));
    expect(at(360, 0)).toBeLessThan(at(180, 0));
  });
});
