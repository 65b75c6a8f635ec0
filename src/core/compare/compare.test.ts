import { describe, expect, it } from 'vitest';
import { makeSetup } from '../../../tests/kit/setups';
import type { Setup } from '../setup';
import { compare } from './index';

const change = (spoil: (setup: Setup) => void) => {
  const before = makeSetup();
  const after = structuredClone(before);
  spoil(after);
  return compare(before, after).map((d) => `${d.what}: ${d.words}`);
};

describe('two versions in words', () => {
  it('nothing between equals', () => expect(compare(makeSetup(), makeSetup())).toEqual([]));
  it.each<[string, (s: Setup) => void, string[]]>([
    ['a gain', (s) => void (s.unit.settings.axes.roll.gainPct = 46), ['Roll: gain 100 % → 46 %']],
    ['a name', (s) => void (s.name = 'Other'), ['This model: name Test model → Other']],
    [
      'a linkage, by the surface it is on',
      (s) => void (s.airframe.surfaces[0]!.linkage.armMm = 9),
      [expect.stringMatching(/^airframe · Left aileron · linkage: arm \d+ → 9 mm$/) as string],
    ],
    [
      'a reversal',
      (s) => void (s.program.outputs[1]!.reversed = true),
      ['program · channel 2 (elevator): reversed no → yes'],
    ],
    [
      'something new',
      (s) => void (s.installation.levelCapture = { pitchDeg: -2 }),
      ['installation: level capture nothing → pitch −2°'],
    ],
    [
      'something removed',
      (s) => void s.program.lines.pop(),
      [expect.stringMatching(/^program · lines: .* removed$/) as string],
    ],
    [
      'an order',
      (s) => void s.airframe.surfaces.reverse(),
      ['airframe · surfaces: in another order'],
    ],
  ])('%s', (_, spoil, words) => expect(change(spoil)).toEqual(words));
});

describe('any two versions', () => {
  const fields: [string, (s: Setup) => unknown][] = [
    ['mounting', (s) => (s.installation.mounting = 'tail-up')],
    ['a wish', (s) => (s.intents.school = 'unit-first')],
    ['a rate', (s) => (s.program.inputs[0]!.rates[0]!.expoPct = 33)],
    ['a slot', (s) => s.unit.settings.slots.reverse()],
    ['a plug', (s) => s.installation.plugs.pop()],
    ['a limit', (s) => (s.unit.settings.angleLimitsDeg.roll = 44)],
    ['a failsafe', (s) => s.program.failsafe.pop()],
    ['a counter', (s) => (s.installation.revisions.crash = 2)],
    ['a servo', (s) => (s.airframe.servos[0]!.rotation = 'reversed')],
    ['notes', (s) => (s.notes = 'Flew well on the ice.')],
  ];
  it.each(fields)('%s: one difference at least, in words, never as raw JSON', (_, spoil) => {
    const found = change((s) => void spoil(s));
    expect(found.length).toBeGreaterThan(0);
    for (const words of found) expect(words).not.toMatch(/[{}[\]"]|undefined|null|\[object/);
  });
  it('the other way round says the same the other way round', () => {
    const before = makeSetup();
    const after = structuredClone(before);
    after.unit.settings.axes.pitch.gainPct = 55;
    const [there] = compare(before, after);
    const [back] = compare(after, before);
    expect(there!.words).toBe('gain 100 % → 55 %');
    expect(back!.words).toBe('gain 55 % → 100 %');
  });
  it('together they say as much as one by one', () => {
    const all = change((s) => fields.forEach(([, spoil]) => void spoil(s)));
    for (const [, spoil] of fields)
      for (const words of change((s) => void spoil(s))) expect(all).toContain(words);
  });
});
