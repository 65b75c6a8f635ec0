import { describe, expect, it } from 'vitest';
import { makeSetup, watchAs } from '../../../tests/kit/setups';
import { diagnose } from '../directions';
import { stamp, testSubject, type Evidence } from '../logbook';
import { gainSides } from '../plan';
import { jobOf } from '../procedure';
import { findingsOf } from '../verify';
import { captureScript } from './script';
import { taughtByDriving } from '../setup';
import { RIGHT_WAY, taught } from './teaching';

const car = () => makeSetup('car', 'steering-receiver', 'surface-four');
const boat = () => makeSetup('boat', 'steering-receiver', 'surface-four');

describe('teaching by driving', () => {
  it('is for units that learn from the steering, and no others', () => {
    expect(taughtByDriving(car().unit)).toBe(true);
    expect(taughtByDriving(makeSetup('car', 'steering-menu', 'surface-six').unit)).toBe(false);
    expect(taughtByDriving(makeSetup('conventional', 'satellite-gyro').unit)).toBe(false);
  });
  it.each([
    ['car', car],
    ['boat', boat],
  ])(
    '%s: left first answers against the swing; right first, with it; turned round later, too',
    (_, make) => {
      expect(taught(make(), RIGHT_WAY)).toMatchObject({ correction: 'against', wrong: [] });
      const rightFirst = taught(make(), { ...RIGHT_WAY, first: 'right' });
      expect(rightFirst.correction).toBe('with');
      expect(rightFirst.wrong[0]).toMatch(/first kick becomes a spin/);
      expect(rightFirst.moments[1]!.does).toBe('Steer full right, and hold.');
      expect(taught(make(), { ...RIGHT_WAY, reversedAfter: true }).correction).toBe('with');
      // Two wrongs that hide each other.
      expect(taught(make(), { ...RIGHT_WAY, first: 'right', reversedAfter: true }).correction).toBe(
        'against',
      );
    },
  );
  it('before the ends were set: full steering is not full to the unit', () => {
    const setup = car();
    const steering = setup.program.outputs.find((o) => o.carries === 'steering')!;
    steering.minPct = -70;
    steering.maxPct = 75;
    expect(taught(setup, RIGHT_WAY).readsPct).toBeCloseTo(100, 0);
    const late = taught(setup, { ...RIGHT_WAY, ends: 'after' });
    expect(late.readsPct).toBeCloseTo(70, 0);
    expect(late.wrong).toEqual([expect.stringMatching(/^Full steering counts as 70 %/)]);
    // The same as a finding, with teaching it again as the remedy, at the step where it is taught.
    expect(findingsOf(late.setup).find((f) => f.rule === 'M16')).toMatchObject({
      says: expect.stringMatching(/^The steering goes from/),
      remedies: [{ label: expect.stringMatching(/^Let it learn again: full left/) }],
    });
  });
  it('a real unit taught right first is found by what was seen, and taught again', () => {
    const written = car();
    const real = taught(written, { ...RIGHT_WAY, first: 'right' }).setup;
    const { learned, changes } = diagnose(written, watchAs(written, real));
    expect(learned.map((l) => l.title)).toEqual(['The unit learned the right side first']);
    expect(changes.map((c) => c.title)).toEqual([
      expect.stringMatching(/^Let it learn again, left first/),
    ]);
  });
});

describe('the two sides of the dial', () => {
  it('go by the sign of the transmitter, and are looked at where it is taught', () => {
    const setup = car();
    expect(gainSides(setup).map((s) => s.does)).toEqual(['slow return', 'fast return']);
    const turned = car();
    turned.program.outputs.find((o) => o.carries === 'gain')!.reversed = true;
    expect(gainSides(turned).map((s) => s.does)).toEqual(['fast return', 'slow return']);
    const sees = (s: typeof setup) => captureScript(s).find((x) => x.item === 'sides')!.sees;
    expect(sees(setup)[0]).toBe('Dial to the left: slow return');
    expect(sees(turned)[0]).toBe('Dial to the left: fast return');
  });
  it('seen the other way about, teaching is wrong there and nowhere else', () => {
    const setup = car();
    const evidence = captureScript(setup).map((step): Evidence => {
      const subject = testSubject(step);
      const seen = step.item === 'sides' ? 'fail' : 'pass';
      return { ...subject, seen, parts: stamp(setup, subject), version: 1, at: '' };
    });
    const job = jobOf({ setup, evidence, findings: [] });
    expect(job.filter((j) => j.status === 'stop').map((j) => j.step.id)).toEqual(['capture']);
  });
});

describe('chassis first', () => {
  const stepsOf = (setup = car()) => jobOf({ setup, evidence: [], findings: [] });
  it('tuning waits for it; an aeroplane has no such step', () => {
    const tune = stepsOf().find((j) => j.step.id === 'tune')!;
    expect(tune.waitsFor.map((s) => s.id)).toContain('chassis');
    expect(stepsOf(makeSetup()).some((j) => j.step.id === 'chassis')).toBe(false);
    expect(stepsOf(boat()).find((j) => j.step.id === 'chassis')!.step.title).toBe('Hull first');
  });
});
