import { describe, expect, it } from 'vitest';
import { G_MPS2, loadFactor, turnRadiusM, turnRateDegPerS } from '../level';
import { footprint, fromInverted, glideAt, glideWithPitch } from './flight';

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
    expect(circle.sinkMps).toBeGreaterThan(straight.sinkMps * 1.2);
    expect(circle.downwindM).toBeCloseTo(2 * circle.radiusM);
    expect(circle.downwindM).toBeLessThan(100);
  });
  it.each([
    [3, 50],
    [3, 20],
    [12, 60],
    [25, 30],
  ])('glide ratio %d at %d° of bank balances all forces', (ratio, bankDeg) => {
    const { sinkMps, forwardMps, radiusM } = glideAt(ratio, 10, bankDeg);
    const bank = (bankDeg * Math.PI) / 180;
    const speed = Math.hypot(sinkMps, forwardMps);
    // Weight 1: lift and drag at this speed, as they were straight.
    const k = Math.cos(Math.atan(1 / ratio)) / (10 * 10);
    const lift = k * speed * speed;
    const drag = lift / ratio;
    expect(lift * Math.cos(bank)).toBeCloseTo(forwardMps / speed, 9);
    expect(drag).toBeCloseTo(sinkMps / speed, 9);
    expect((forwardMps * forwardMps) / radiusM / G_MPS2).toBeCloseTo(lift * Math.sin(bank), 9);
  });
  it('with the nose held up it flies slower, held down faster', () => {
    const at = (deg: number) => glideWithPitch(10, 10, deg, 6);
    expect(at(3).speedMps).toBeLessThan(at(0).speedMps);
    expect(at(-6).speedMps).toBeGreaterThan(at(0).speedMps);
    expect(at(-6).glideRatio).toBeLessThan(10.01);
    const high = footprint({ ...model, pitch: { deg: 3, aspect: 6 } });
    expect(high.timeS).not.toBeCloseTo(footprint(model).timeS, 1);
  });
});

describe('from inverted to level', () => {
  it.each([
    [14, 180, 0, 12.3],
    [14, 180, 0.3, 28.7],
  ])('%d m/s, %d°/s, after %d s: %d m', (speedMps, rollRateDegPerS, delayS, heightM) => {
    expect(fromInverted({ rollRateDegPerS, speedMps, delayS }).heightM).toBeCloseTo(heightM, 1);
  });
  it('is what small steps of the point mass come to', () => {
    const [rate, delay] = [240, 0.25];
    const r = fromInverted({ rollRateDegPerS: rate, speedMps: 15, delayS: delay });
    let [height, down] = [0, 0];
    const dt = 1e-5;
    for (let t = 0; t < delay + 180 / rate; t += dt) {
      const rolled = Math.max(0, t - delay) * rate;
      down += G_MPS2 * (1 + Math.cos((rolled * Math.PI) / 180)) * dt;
      height += down * dt;
    }
    expect(r.rollingM).toBeCloseTo(height, 2);
    expect(r.heightM).toBeCloseTo(r.rollingM + r.pullOutM);
  });
  it('costs more with a delay and less with a quick roll', () => {
    const at = (rollRateDegPerS: number, delayS: number) =>
      fromInverted({ rollRateDegPerS, speedMps: 15, delayS }).heightM;
    expect(at(180, 0.5)).toBeGreaterThan(at(180, 0));
    expect(at(360, 0)).toBeLessThan(at(180, 0));
  });
});
