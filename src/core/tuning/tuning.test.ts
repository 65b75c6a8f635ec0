import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { makeSetup } from '../../../tests/kit/setups';
import { TRANSMITTERS, UNITS } from '../catalogue';
import { writeWishes } from '../plan';
import type { GainLaw, GainWish, Setup } from '../setup';
import { proofOf } from '../verify';
import { MARGIN, gainAtSpeed, gainOfReading, lockScript, recordScript, tuneScript } from './index';

const withLaw = (gainLaw: GainLaw): Setup => {
  const setup = makeSetup();
  setup.unit.traits.gainLaw = gainLaw;
  setup.transmitter = { ...setup.transmitter, pulse: { centreUs: 1500, usAt100: 500 } };
  return setup;
};

describe('what a reading off the monitor stands for', () => {
  it.each<[GainLaw, number, number | undefined]>([
    // Common practice, no source: −8 under “−100 off … +100 full” is 46 % gain.
    ['full-range', -8, 46],
    ['full-range', -100, 0],
    ['full-range', 100, 100],
    ['full-range', 0, 50],
    ['zero-to-full', 40, 40],
    ['zero-to-full', -40, 0],
    ['magnitude', -40, 40],
    ['magnitude', 0, 0],
    ['sign-selects-set', -70, 70],
    ['sign-selects-set', 0, 0],
    ['fixed', 50, undefined],
  ])('%s, %s %%: %s', (law, pct, gain) => {
    const found = gainOfReading(withLaw(law), pct);
    if (gain === undefined) expect(found).toBeUndefined();
    else expect(found).toBeCloseTo(gain, 6);
  });
  it('counts in the scale of the transmitter: 100 % of ±400 µs is not full gain', () => {
    const setup = withLaw('full-range');
    setup.transmitter = { ...setup.transmitter, pulse: TRANSMITTERS['switch-value-six']!.pulse };
    expect(gainOfReading(setup, 100)).toBeCloseTo(90, 6);
  });
  it('is what the chain gives the unit with that on its channel', () => {
    for (const pct of [-100, -50, 0, 20, 100]) {
      const setup = withLaw('full-range');
      const wish: GainWish = { by: 'fixed', pct: gainOfReading(setup, pct)! };
      const written = writeWishes(setup, { ...setup.intents.program, gain: wish });
      if (!written.ok) throw new Error(written.reasons.join());
      const share = setup.unit.settings.axes.roll.gainPct / 100;
      for (const row of proofOf(written.setup).rows)
        expect(row.gainPct[0]).toBeCloseTo(wish.pct * share, 0);
    }
  });
});

describe('gain at another speed', () => {
  it.each([
    [20, 14, 14, 20],
    [20, 14, 28, 5],
    [20, 28, 14, 80],
    [50, 28, 14, 100],
    [0, 10, 5, 0],
  ])('%s %% found at %s m/s is %s m/s: %s %%', (pct, at, wanted, gain) =>
    expect(gainAtSpeed(pct, at, wanted)).toBeCloseTo(gain, 6),
  );
  it('there and back is the same, below full', () => {
    const speed = fc.double({ min: 5, max: 30, noNaN: true });
    fc.assert(
      fc.property(speed, speed, (a, b) => {
        const there = gainAtSpeed(2, a, b);
        expect(gainAtSpeed(there, b, a)).toBeCloseTo(2, 6);
      }),
    );
  });
  it('the margin is 6 dB (MIL-F-9490D)', () =>
    expect(20 * Math.log10(1 / MARGIN)).toBeCloseTo(6, 1));
});

describe('outings', () => {
  const PLANES = Object.keys(UNITS).filter((u) => u !== 'steering-receiver');
  it.each(PLANES)('%s: trimmed with it off first, then fast, then slow', (unit) => {
    const script = tuneScript(
      makeSetup(unit === 'single-axis-gyro' ? 't-tail' : 'conventional', unit),
    );
    expect(script.map((s) => s.item).slice(0, 3)).toEqual(['trim', 'fast', 'slow']);
    expect(new Set(script.map((s) => s.item)).size).toBe(script.length);
    for (const s of script) {
      expect(s.test).toBe('tune');
      expect(s.sees.length).toBeGreaterThan(0);
    }
  });
  it('names the movement that switches everything off, as it was proved', () => {
    const setup = makeSetup();
    const [off] = proofOf(setup).masterOff;
    const control = setup.transmitter.controls.find((c) => c.id === off!.control)!;
    expect(tuneScript(setup)[0]!.does).toContain(`Unit off (${control.label}`);
  });
  it('says lowest gain where nothing switches it off', () => {
    const setup = makeSetup();
    setup.unit.settings.slots = ['rate', 'rate', 'rate'];
    setup.program.lines = setup.program.lines.filter((l) => l.purpose !== 'gain');
    expect(tuneScript(setup)[0]!.does).toContain('Lowest gain');
  });
  it('a car is driven on the straight, unit off first: a gyro hides its chassis', () => {
    const script = tuneScript(makeSetup('car', 'steering-receiver', 'surface-four'));
    expect(script[0]!.sees.join()).toContain('hides poor steering geometry');
    expect(script.map((s) => s.does).join()).toContain('until the steering hunts');
  });
  it('asks for no number where no channel carries the gain', () => {
    const items = tuneScript(makeSetup('conventional', 'dial-gyro')).map((s) => s.item);
    expect(items).not.toContain('read');
  });
  it('only a knob is to be locked in', () => {
    const setup = makeSetup();
    expect(lockScript(setup)).toHaveLength(1);
    const fixed = writeWishes(setup, {
      ...setup.intents.program,
      gain: { by: 'values', control: 'sb', pct: [0, 30, 50] },
    });
    if (!fixed.ok) throw new Error(fixed.reasons.join());
    expect(lockScript(fixed.setup)).toEqual([]);
  });
  it('recording is one thing, proven by the log', () => expect(recordScript()).toHaveLength(1));
});
