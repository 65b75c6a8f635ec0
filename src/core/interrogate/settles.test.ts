import { describe, expect, it } from 'vitest';
import { cleanCases } from '../../../tests/kit/clean';
import { mostAssumed } from '../../../tests/kit/possible';
import { makeSetup } from '../../../tests/kit/setups';
import { share } from '../../../tests/kit/share';
import { facetsOf, withValues } from '../possible';
import type { Setup } from '../setup';
import { overUnits } from '../verify';
import { asking, experimentsFor, experimentWords, looksOf, possibleUnit, settling } from './index';

/** A unit of a Setup with one value, by its facet and key. */
function withValue(setup: Setup, id: string, key: string): Setup {
  const facet = facetsOf(setup).find((f) => f.id === id)!;
  return facet.now === key
    ? setup
    : withValues(
        setup,
        facet.values.filter((v) => v.key === key),
      );
}

describe('what settles a “proven if”', () => {
  it.each(share(cleanCases(48), 12))(
    '$name ($seed): played again, or nothing tells it',
    ({ setup: clean }) => {
      const setup = mostAssumed(clean);
      for (const { restsOn } of overUnits(setup)!.provenIf)
        for (const rests of restsOn) {
          const units = (keys: readonly string[]) =>
            keys.map((key) => possibleUnit(withValue(setup, rests.facet, key)));
          const [holds, fails] = [units(rests.keys.proven), units(rests.keys.fails)];
          const settled = settling(setup, rests);
          if (!settled) {
            // Nothing that is tried shows any of those that fail by itself.
            for (const e of experimentsFor(setup))
              for (const f of fails)
                looksOf(e).forEach((_, look) => {
                  const seen = holds.flatMap((h) => h.show(e).looks[look]!);
                  expect(f.show(e).looks[look]!.some((g) => seen.includes(g))).toBe(true);
                });
            continue;
          }
          const { experiment, look, good, all } = settled;
          for (const h of holds)
            expect(good).toEqual(expect.arrayContaining([...h.show(experiment).looks[look]!]));
          const told = fails.filter(
            (f) => !f.show(experiment).looks[look]!.some((g) => good.includes(g)),
          );
          expect(told.length).toBeGreaterThan(0);
          expect(told.length === fails.length).toBe(all);
        }
    },
  );

  it('is asked first, and said in words with what must be seen', () => {
    const setup = mostAssumed(makeSetup());
    const gain = overUnits(setup)!.provenIf.find((p) => p.requirement === 'gain')!;
    const { experiment, look, good, all } = settling(setup, gain.restsOn[0]!)!;
    expect({ act: experiment.steps[0]!.act.kind, look, good, all }).toEqual({
      act: 'tilt',
      look: 0,
      good: ['-returns'],
      all: true,
    });
    const { steps } = experimentWords(setup, experiment);
    const offered = steps.flatMap(({ looks }) => looks)[look]!.answers.map(([seen]) => seen);
    expect(offered).toEqual(expect.arrayContaining([...good]));
    expect(asking(setup, [], 'gain-law').next!.about[0]).toBe('gain-law');
    expect(asking(setup, []).next!.about).not.toContain('gain-law');
  });
});
