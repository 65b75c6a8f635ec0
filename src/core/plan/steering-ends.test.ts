import { describe, expect, it } from 'vitest';
import { randomOf } from '../../../tests/kit/random-program';
import { makeSetup } from '../../../tests/kit/setups';
import { USUAL_STEERING } from '../catalogue';
import { compileChain, stickOf } from '../chain';
import { lockServoDeg } from '../linkage';
import { applyPatch } from '../patch';
import { parseSetup, type Setup, type Steering } from '../setup';
import { findingsOf } from '../verify';
import { setSteeringEnds, steeringEnds } from './steering-ends';

function car(steering: Partial<Steering> = {}, change?: (setup: Setup) => void): Setup {
  const setup = makeSetup('car', 'steering-receiver', 'surface-four');
  setup.airframe.steering = { ...USUAL_STEERING, ...steering };
  change?.(setup);
  return setup;
}

/** The front wheels with the wheel in the hand full left (−100) or full right. */
function wheelsAt(setup: Setup, hand: number): number[] {
  const chain = compileChain(setup);
  const frame = chain.newFrame();
  const stimulus = chain.restStimulus();
  stimulus.controls[stickOf(setup.transmitter, 'steering')] = hand;
  chain.step(stimulus, chain.newMemory(), frame);
  return [...frame.surfaceDeg];
}

const withEnds = (setup: Setup) => applyPatch(setup, setSteeringEnds(setup)) as Setup;
const stopsOf = (setup: Setup) =>
  findingsOf(setup).filter((f) => f.requirements.includes('steering-stop'));

describe('ends of the steering', () => {
  it('reach the lock within a step of the transmitter, over random steerings, and never pass it', () => {
    const next = randomOf(35);
    for (let i = 0; i < 60; i++) {
      const setup = car(
        {
          lockLeftDeg: 18 + 20 * next(),
          lockRightDeg: 18 + 20 * next(),
          armMm: 13 + 6 * next(),
          by: (['arm', 'bell-crank', 'rack'] as const)[i % 3]!,
          knuckles: i % 2 === 0 ? 'behind' : 'ahead',
        },
        (s) => {
          if (i % 4 === 0) s.airframe.servos[0]!.rotation = 'reversed';
          if (i % 5 === 0) for (const w of s.airframe.surfaces) w.linkage.sense = 'same';
          s.transmitter.stepPct = i % 2 === 0 ? 1 : 0.5;
        },
      );
      const ends = steeringEnds(withEnds(setup));
      for (const { to, lockDeg, beyondDeg, end } of ends) {
        if (lockDeg === undefined || !end) continue;
        const perStep =
          (setup.airframe.servos[0]!.degAt500Us * (setup.transmitter.stepPct ?? 1)) / 100;
        expect(beyondDeg, to).toBeLessThanOrEqual(0.001);
        expect(beyondDeg, to).toBeGreaterThan(-perStep * 1.05);
      }
    }
  });
  it('are unequal where the stops are, and the wheels stand at them', () => {
    const setup = withEnds(car({ lockLeftDeg: 30, lockRightDeg: 24 }));
    const [left, right] = [wheelsAt(setup, -100), wheelsAt(setup, 100)];
    expect(Math.max(...left.map(Math.abs))).toBeGreaterThan(29);
    expect(Math.max(...left.map(Math.abs))).toBeLessThanOrEqual(30.01);
    expect(Math.max(...right.map(Math.abs))).toBeGreaterThan(23);
    expect(Math.max(...right.map(Math.abs))).toBeLessThanOrEqual(24.01);
    const [output] = setup.program.outputs;
    expect(Math.abs(output!.minPct)).not.toBe(output!.maxPct);
    expect(stopsOf(setup)).toEqual([]);
  });
  it('sent past the stop: a stop with the figure, a witness, and the ends as the remedy, which mends it', () => {
    const setup = car({ lockLeftDeg: 15, lockRightDeg: 15 });
    const found = stopsOf(setup);
    expect(found.map((f) => f.severity)).toEqual(['stop', 'stop']);
    expect(found[0]!.says).toMatch(/^Full left the servo is held \d+° past/);
    expect(found[0]!.witness).toBeDefined();
    const remedy = found[0]!.remedies[0]!;
    const read = parseSetup(applyPatch(setup, remedy.patch));
    if (!read.ok) throw new Error(read.problems[0]!.reason);
    expect(stopsOf(read.value)).toEqual([]);
  });
  it('short of the stop: a caution; a servo that never gets there: said, and no endpoint is offered', () => {
    const short = withEnds(car());
    const steering = short.program.outputs.find((o) => o.carries === 'steering')!;
    steering.minPct = Math.round(steering.minPct * 0.6);
    expect(stopsOf(short)).toMatchObject([{ severity: 'caution' }]);
    const never = car({ armMm: 5, lockLeftDeg: 45, lockRightDeg: 45 });
    expect(lockServoDeg(never.airframe.steering!, 60, 1)).toBeUndefined();
    expect(stopsOf(never).map((f) => f.remedies)).toEqual([[], []]);
    expect(stopsOf(never)[0]!.says).toMatch(/servo ends before/);
  });
  it('a wheel at its stop stays there, whatever the servo is sent to', () => {
    const setup = car({ lockLeftDeg: 12, lockRightDeg: 12 });
    expect(Math.max(...wheelsAt(setup, -100).map(Math.abs))).toBeCloseTo(12, 3);
  });
  it('a steering whose tie rods do not reach is refused, with the place', () => {
    const read = parseSetup(car({ armMm: 40, crankInMm: 10, crankOutMm: 5 }));
    expect(read).toMatchObject({
      ok: false,
      problems: [{ path: '/airframe/steering/innerMm', reason: expect.stringMatching(/tie rods/) }],
    });
  });
});
