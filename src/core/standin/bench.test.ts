import { describe, expect, it } from 'vitest';
import { makeSetup } from '../../../tests/kit/setups';
import { createBench } from './index';

const TICK_S = 0.033;

describe('virtual bench', () => {
  it('stands still with nothing touched', () => {
    const bench = createBench(makeSetup());
    const snapshot = bench.advance(TICK_S);
    expect(snapshot.twin).toEqual([
      'left aileron at centre',
      'right aileron at centre',
      'elevator at centre',
      'rudder at centre',
      'motor 0 %',
    ]);
    expect(snapshot.movement).toBe('');
  });
  it('is brought to a tilt by the hand and stays there', () => {
    const bench = createBench(makeSetup());
    bench.tilt('roll', 30);
    let snapshot = bench.advance(TICK_S);
    expect(snapshot.ratesDegPerS.roll).toBeGreaterThan(100);
    for (let i = 0; i < 60; i++) snapshot = bench.advance(TICK_S);
    expect(snapshot.attitudeDeg.roll).toBeCloseTo(30, 0);
    expect(snapshot.ratesDegPerS.roll).toBe(0);
    expect(snapshot.movement).toBe('left wing raised');
  });
  it('remembers the largest answers of a movement, and forgets them at the next', () => {
    const bench = createBench(makeSetup());
    bench.setControl('sa', 0);
    bench.tilt('roll', 25);
    let snapshot = bench.advance(TICK_S);
    for (let i = 0; i < 60; i++) snapshot = bench.advance(TICK_S);
    const roll = snapshot.answers.filter((a) => a.movement !== 'centre');
    expect(roll.map((a) => `${a.surface} ${a.movement}`)).toEqual([
      'aileron-left up',
      'aileron-right down',
    ]);
    bench.tilt('yaw', 30);
    for (let i = 0; i < 60; i++) snapshot = bench.advance(TICK_S);
    expect(snapshot.movement).toBe('nose swung right');
    expect(snapshot.answers.find((a) => a.surface === 'rudder')!.movement).toBe('left');
  });
  it('never pitches past straight up, and passes over a control it lacks', () => {
    const bench = createBench(makeSetup());
    bench.setControl('nowhere', 100);
    for (let i = 0; i < 20; i++) bench.tilt('pitch', 40);
    let snapshot = bench.advance(TICK_S);
    for (let i = 0; i < 80; i++) snapshot = bench.advance(TICK_S);
    expect(snapshot.attitudeDeg.pitch).toBeLessThanOrEqual(85.1);
    bench.level();
    for (let i = 0; i < 80; i++) snapshot = bench.advance(TICK_S);
    expect(snapshot.attitudeDeg.pitch).toBeCloseTo(0, 0);
  });
  it('loses the link as its failsafes say', () => {
    const setup = makeSetup();
    setup.program.failsafe = setup.program.failsafe.map((f) =>
      f.channel === 3 ? f : { channel: f.channel, kind: 'hold' as const },
    );
    delete setup.unit.settings.failsafe;
    const bench = createBench(setup);
    bench.setControl('sg', 100);
    bench.setControl('stick-throttle', 100);
    bench.setControl('stick-aileron', 100);
    const flying = bench.advance(TICK_S);
    expect(flying.motorPct[0]).toBeCloseTo(100);
    bench.setLink(false);
    bench.setControl('stick-aileron', -100);
    const lost = bench.advance(TICK_S);
    expect(lost.motorPct[0]).toBeCloseTo(0);
    expect(lost.surfaceDeg[0]).toBeCloseTo(flying.surfaceDeg[0]!);
  });
  it('says what the unit takes as a gesture, and forgets it at rest', () => {
    const setup = makeSetup('conventional', 'gesture-stabilizer');
    const bench = createBench(setup);
    bench.tilt('pitch', 12);
    let snapshot = bench.advance(TICK_S);
    for (let i = 0; i < 60; i++) snapshot = bench.advance(TICK_S);
    expect(snapshot.heard).toBe('');
    for (const [stick, value] of [
      ['elevator', -100],
      ['aileron', 100],
      ['rudder', -100],
    ] as const)
      bench.setControl(`stick-${stick}`, value);
    for (let i = 0; i < 120; i++) snapshot = bench.advance(TICK_S);
    expect(snapshot.heard).toBe(
      'The unit takes this as its gesture for level: it captures the attitude the model has now, 12° nose up.',
    );
    bench.rest();
    expect(bench.advance(TICK_S).heard).toBe('');
  });
});
