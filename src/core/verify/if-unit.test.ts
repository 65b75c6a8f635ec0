import { describe, expect, it } from 'vitest';
import { cleanCases } from '../../../tests/kit/clean';
import { mostAssumed, mostFacets } from '../../../tests/kit/possible';
import { makeSetup } from '../../../tests/kit/setups';
import { share } from '../../../tests/kit/share';
import { UNITS } from '../catalogue';
import { behaveAlike, facetsOf, grounded, openFacets, withValues } from '../possible';
import { parseSetup, type Setup } from '../setup';
import { findingsOf, overUnits, prove, proofOf, unlessWords } from './index';

/** The Setup with some facts about its unit only assumed. */
const assuming = (setup: Setup, ...ids: readonly string[]): Setup =>
  grounded(
    setup,
    facetsOf(setup).filter((f) => ids.includes(f.id)),
    'assumed',
  );

const provenOf = (setup: Setup): Map<string, boolean> =>
  new Map(
    prove(setup).results.map((r) => [r.id, r.failures.length === 0 && r.leftOut.length === 0]),
  );

describe('the proof over possible units', () => {
  it('asks nothing more where everything is known', () => {
    const setup = makeSetup();
    expect(openFacets(setup)).toEqual([]);
    expect(overUnits(setup)).toEqual({ idle: [], provenIf: [] });
  });

  it('says what a requirement depends on, and warns of it', () => {
    const setup = assuming(makeSetup(), 'gain-law', 'gain-lead');
    expect(parseSetup(setup)).toMatchObject({ ok: true });
    const over = overUnits(setup)!;
    // With its lead in, nobody learns what it does without.
    expect(over.idle.map((f) => f.id)).toEqual(['gain-lead']);
    const gain = over.provenIf.find((p) => p.requirement === 'gain')!;
    expect(gain).toMatchObject({ proven: true, together: [] });
    expect(gain.restsOn).toEqual([
      {
        facet: 'gain-law',
        title: 'how it reads its gain channel',
        proven: ['its gain rises from −100 to +100'],
        fails: [
          'its gain rises from 0 to +100',
          'the size of the gain value counts, not its sign',
          'the sign of the gain value chooses a set',
        ],
        keys: {
          proven: ['full-range'],
          fails: ['zero-to-full', 'magnitude', 'sign-selects-set'],
        },
      },
    ]);
    expect(findingsOf(setup).filter((f) => f.rule === 'gain')).toEqual([
      expect.objectContaining({
        severity: 'caution',
        where: '/unit/traits/gainLaw',
        says: expect.stringContaining('proven only if its gain rises from −100 to +100') as string,
      }),
    ]);
    // Seen on the unit, it is settled.
    const seen = structuredClone(setup);
    seen.unit.grounds!.traits!.gainLaw = 'seen';
    expect(findingsOf(seen).filter((f) => f.rule === 'gain')).toEqual([]);
  });

  it('says with what it fails where that is shorter', () => {
    const setup = assuming(makeSetup(), 'slot-1');
    const rest = overUnits(setup)!.provenIf.find((p) => p.requirement === 'rest')!;
    const levels =
      'position 1 is self-levelling, or position 1 is return home, or position 1 is hover';
    expect(unlessWords(rest)).toBe(levels);
    expect(findingsOf(setup).filter((f) => f.rule === 'rest')).toEqual([
      expect.objectContaining({
        severity: 'caution',
        says: `“${rest.title}” is proven unless ${levels}. Nobody has confirmed that on the unit.`,
      }),
    ]);
    // One value holds and several fail: then that one is said.
    const law = overUnits(assuming(makeSetup(), 'gain-law'))!.provenIf.find(
      (p) => p.requirement === 'gain',
    )!;
    expect(unlessWords(law)).toBeUndefined();
  });

  it.each(share(cleanCases(48), 16))(
    '$name: the same as every value proved by itself',
    ({ setup: clean }) => {
      const setup = mostAssumed(clean);
      const over = overUnits(setup)!;
      const own = provenOf(setup);
      const depends = new Map<string, Set<string>>();
      for (const facet of mostFacets(setup))
        for (const value of facet.values) {
          if (value.key === facet.now) continue;
          const other = withValues(setup, [value]);
          const proven = provenOf(other);
          for (const [id, holds] of own)
            if ((proven.get(id) ?? holds) !== holds) {
              depends.set(id, (depends.get(id) ?? new Set()).add(facet.id));
              // What changes a verdict behaves otherwise.
              expect(behaveAlike(setup, other), `${facet.id} ${value.key}`).toBe(false);
            }
        }
      const said = new Map(
        over.provenIf
          .filter((p) => p.restsOn.length > 0)
          .map((p) => [p.requirement as string, new Set(p.restsOn.map((r) => r.facet))]),
      );
      expect(said).toEqual(depends);
    },
  );

  it.each(Object.keys(UNITS))('%s: each value can be put, and one of them is its own', (name) => {
    const kind = name.startsWith('steering') ? 'car' : 'conventional';
    const setup = makeSetup(kind, name, kind === 'car' ? 'surface-four' : undefined);
    const facets = facetsOf(setup);
    expect(new Set(facets.map((f) => f.id)).size).toBe(facets.length);
    for (const facet of facets) {
      if (facet.now !== undefined) expect(facet.values.map((v) => v.key)).toContain(facet.now);
      for (const value of facet.values) {
        const next = withValues(setup, [value]);
        expect(parseSetup(next), `${facet.id} ${value.key}`).toMatchObject({ ok: true });
        if (value.key === facet.now) expect(behaveAlike(setup, next)).toBe(true);
        expect(facetsOf(next).find((f) => f.id === facet.id)?.now ?? value.key).toBe(value.key);
      }
    }
    expect(proofOf(setup).results.length).toBeGreaterThan(0);
  });
});
