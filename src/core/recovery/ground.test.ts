import { describe, expect, it } from 'vitest';
import { makeSetup } from '../../../tests/kit/setups';
import { G_MPS2 } from '../level';
import { choose, failsafeSchools } from '../plan';
import type { ProgramWishes, Setup } from '../setup';
import { findingsOf } from '../verify';
import { lostOnGround, stopOf } from './ground';

const car = () => makeSetup('car', 'steering-receiver', 'surface-four');
const boat = () => makeSetup('boat', 'steering-receiver', 'surface-four');
function wished(setup: Setup, failsafe: Partial<NonNullable<ProgramWishes['failsafe']>>): Setup {
  const next = choose(setup, {
    wish: 'failsafe',
    value: { school: 'motor-off', pitchDeg: 0, rollDeg: 0, ...failsafe },
  });
  if (!next.ok) throw new Error(next.reasons.join('; '));
  return next.setup;
}

describe('what the link going leaves a car or boat with', () => {
  it('neutral: the motor stops, the steering stays as it stands', () => {
    const lost = lostOnGround(wished(car(), {}));
    expect(lost).toMatchObject({ motorPct: 0, brakes: false });
    expect(Math.abs(lost.straightDeg)).toBeLessThan(1);
    expect(Math.abs(lost.hardOverDeg)).toBeGreaterThan(15);
  });
  it('brake: on the other side of stop, where the controller brakes; nowhere else', () => {
    const setup = wished(car(), { school: 'brake' });
    expect(lostOnGround(setup)).toMatchObject({ motorPct: 0, brakes: true });
    expect(findingsOf(setup).filter((f) => f.severity === 'stop')).toEqual([]);
    const reverses = car();
    reverses.airframe.motors[0]!.reverse = 'reverses';
    expect(failsafeSchools(reverses).brake).toMatch(/would reverse instead of braking/);
    expect(failsafeSchools(boat()).brake).toMatch(/nothing brakes it/);
    expect(failsafeSchools(makeSetup()).brake).toBeDefined();
    for (const school of ['glide', 'circle', 'home'] as const)
      expect(failsafeSchools(car())[school]).toMatch(/only for a model that flies/);
  });
  it('centred, or turned to circle: from wherever the steering stood', () => {
    const centred = lostOnGround(wished(boat(), { steerPct: 0 }));
    expect(Math.abs(centred.hardOverDeg)).toBeLessThan(1);
    const right = lostOnGround(wished(boat(), { steerPct: 40 }));
    expect(right.straightDeg).toBeCloseTo(right.hardOverDeg, 3);
    // Right is negative of a rudder too.
    expect(right.straightDeg).toBeLessThan(-5);
    expect(lostOnGround(wished(boat(), { steerPct: -40 })).straightDeg).toBeGreaterThan(5);
  });
});

describe('metres to a stop, and the circle', () => {
  const { airframe } = car();
  const on = { brakes: false, steeredDeg: 0, ground: 'hard' } as const;
  it('v²/2a for a car: twice the speed, four times the way; a brake shortens it, ice makes it long', () => {
    const [slow, fast] = [stopOf(airframe, 5, on), stopOf(airframe, 10, on)];
    expect(fast.metres / slow.metres).toBeCloseTo(4, 6);
    const braked = stopOf(airframe, 10, { ...on, brakes: true });
    expect(braked.metres).toBeLessThan(fast.metres / 2);
    expect(braked.metres).toBeCloseTo(100 / (2 * 0.35 * G_MPS2), 3);
    const ice = stopOf(airframe, 10, { ...on, brakes: true, ground: 'ice' });
    expect(ice.metres).toBeCloseTo(100 / (2 * 0.12 * G_MPS2), 3);
  });
  it('the circle of a car is the wheelbase over the tangent; too fast for the tyres it slides', () => {
    const turn = stopOf(airframe, 2, { ...on, steeredDeg: 30 });
    expect(turn.radiusM).toBeCloseTo(0.26 / Math.tan(Math.PI / 6), 6);
    expect(turn.slides).toBe(4 / turn.radiusM > 0.7 * G_MPS2);
    expect(stopOf(airframe, 12, { ...on, steeredDeg: 30 }).slides).toBe(true);
    expect(stopOf(airframe, 12, on)).toMatchObject({ radiusM: Infinity, slides: false });
  });
  it('a boat loses its speed by the length: e to the minus way over decay, integrated step by step', () => {
    const hull = boat().airframe;
    const { metres, seconds } = stopOf(hull, 8, { ...on, brakes: false });
    // dv/dt = −v²/L, in small steps.
    const decay = 4 * (hull.measures.lengthMm / 1000);
    let [v, x, t] = [8, 0, 0];
    const dt = 1e-4;
    for (; v > 0.5; t += dt) {
      x += v * dt;
      v -= ((v * v) / decay) * dt;
    }
    expect(metres).toBeCloseTo(x, 2);
    expect(seconds).toBeCloseTo(t, 2);
    expect(stopOf(hull, 0.4, on).metres).toBe(0);
  });
});
