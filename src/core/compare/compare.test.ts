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
    [
      'a gain',
      (s) => void (s.unit.settings.axes.roll.gainPct = 46),
      ['unit · settings · axes · roll: gain 100 → 46 %'],
    ],
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
      'something taken out',
      (s) => void s.program.lines.pop(),
      [expect.stringMatching(/^program · lines: .* taken out$/) as string],
    ],
    [
      'an order',
      (s) => void s.airframe.surfaces.reverse(),
      ['airframe · surfaces: in another order'],
    ],
  ])('%s', (_, spoil, words) => expect(change(spoil)).toEqual(words));
});
