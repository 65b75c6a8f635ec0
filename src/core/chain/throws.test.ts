import { describe, expect, it } from 'vitest';
import { makeSetup } from '../../../tests/kit/setups';
import type { Linkage } from '../setup';
import { hornDeg, throwsOf } from './index';

const RAD = Math.PI / 180;

/** The same four-bar by halving an interval: slow, sure, and sharing nothing with the closed form. */
function byHalving(l: Linkage, servoDeg: number): number {
  const arm = (deg: number) => [
    l.armMm * Math.sin((l.armOffsetDeg + deg) * RAD),
    l.armMm * Math.cos((l.armOffsetDeg + deg) * RAD),
  ];
  const horn = (deg: number) => [
    l.hornMm * Math.sin((l.hornOffsetDeg + deg) * RAD),
    l.hornMm * Math.cos((l.hornOffsetDeg + deg) * RAD),
  ];
  const [ax, ay] = arm(0) as [number, number];
  const [hx, hy] = horn(0) as [number, number];
  const error = (deg: number) => {
    const [px, py] = arm(servoDeg) as [number, number];
    const [qx, qy] = horn(deg) as [number, number];
    return Math.hypot(ax + l.rodMm - hx + qx - px, ay - hy + qy - py) - l.rodMm;
  };
  let low = -85;
  let high = 85;
  for (let i = 0; i < 80; i++) {
    const middle = (low + high) / 2;
    if (error(middle) < 0) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

describe('linkage against an independent solution', () => {
  const cases = [
    [10, 16, 120, 0, 0],
    [8, 12, 60, 10, 0],
    [14, 14, 300, 0, 15],
    [6, 20, 90, -12, 8],
  ].flatMap(([armMm, hornMm, rodMm, armOffsetDeg, hornOffsetDeg]) =>
    [-40, -15, 0, 15, 40].map((servo) => ({
      armMm,
      hornMm,
      rodMm,
      armOffsetDeg,
      hornOffsetDeg,
      servo,
    })),
  );
  it.each(cases)('arm $armMm horn $hornMm rod $rodMm, servo $servo°', ({ servo, ...lengths }) => {
    const linkage = { ...lengths, sense: 'same' } as Linkage;
    expect(hornDeg(linkage, servo)).toBeCloseTo(byHalving(linkage, servo), 6);
  });
});

describe('throws', () => {
  it('go from stick end to stick end, with signs in words of the trailing edge', () => {
    const [left, right, elevator] = throwsOf(makeSetup());
    expect(left!.high.surfaceDeg).toBeGreaterThan(20);
    expect(right!.high.surfaceDeg).toBeCloseTo(-left!.high.surfaceDeg);
    expect(elevator!.low.edgeMm).toBeLessThan(0);
  });
  it('are unequal where the ends are, which is differential', () => {
    const setup = makeSetup();
    setup.program.outputs[1]!.minPct = -60;
    const elevator = throwsOf(setup)[2]!;
    expect(Math.abs(elevator.low.surfaceDeg)).toBeLessThan(
      0.7 * Math.abs(elevator.high.surfaceDeg),
    );
  });
  it('say what a subtrim moves and costs', () => {
    const setup = makeSetup();
    setup.program.outputs[1]!.subtrimPct = 12;
    const elevator = throwsOf(setup)[2]!;
    expect(elevator.lostPct).toBe(12);
    expect(elevator.centre.surfaceDeg).toBeGreaterThan(2);
  });
});
