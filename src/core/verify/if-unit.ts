import { apart, facetsOf, openFacets, withValues, type Facet, type Value } from '../possible';
import { pointer, type Setup } from '../setup';
import { factsOf, leavesUse } from './engine';
import { listening } from './explore';
import type { Finding } from './finding';
import { proofOf, type ProofOptions, type Result } from './proof';
import { resultsOf } from './prove';
import { REQUIREMENTS } from './requirements';
import type { RequirementId } from './requirements/ids';

/** One thing about the unit that nobody knows, and what depends on it. */
export interface RestsOn {
  facet: Facet['id'];
  /** What it is about. */
  title: string;
  /** Values with which the requirement is proven, and with which it is not, in words. */
  proven: readonly string[];
  fails: readonly string[];
  /** The same values by their keys. */
  keys: { proven: readonly string[]; fails: readonly string[] };
}

/** A requirement whose verdict depends on what the unit is. */
export interface ProvenIf {
  requirement: RequirementId;
  title: string;
  /** Whether it is proven of the unit as it is described. */
  proven: boolean;
  restsOn: readonly RestsOn[];
  /** It fails only where several things are otherwise at once: those, in words. */
  together: readonly string[];
}

type About = Pick<Facet, 'id' | 'title' | 'of'>;

/** The requirements of a Setup held against every unit that is still possible. */
export interface OverUnits {
  /** What is assumed and changes nothing here. */
  idle: readonly About[];
  provenIf: readonly ProvenIf[];
}

const isProven = (result: Result): boolean =>
  result.failures.length === 0 && result.leftOut.length === 0;

const keyOf = (value: Value | undefined): string[] => (value ? [value.key] : []);

const known = new WeakMap<Setup, OverUnits>();

/** The same, worked out once: Setups are immutable. */
export function overUnits(setup: Setup, options: ProofOptions = {}): OverUnits | undefined {
  const found = known.get(setup) ?? workedOut(setup, options);
  if (found) known.set(setup, found);
  return found;
}

/** What is proven only of some of the units that are possible, as findings. */
export function unsettled(setup: Setup): Finding[] {
  const facets = facetsOf(setup);
  return (overUnits(setup)?.provenIf ?? []).flatMap((p): Finding[] => {
    const of = facets.find((f) => f.id === p.restsOn[0]?.facet)?.of ?? [];
    const unless = unlessWords(p);
    return p.proven
      ? [
          {
            rule: p.requirement,
            requirements: [p.requirement],
            severity: 'caution',
            says: unless
              ? `“${p.title}” is proven unless ${unless}. Nobody has confirmed that on the unit.`
              : `“${p.title}” is proven only if ${ifWords(p)}. Nobody has confirmed that on the unit.`,
            where: pointer('unit', ...of),
            remedies: [],
          },
        ]
      : [];
  });
}

/** "it keeps the last gain, and it works at once" */
export const ifWords = ({ restsOn, together }: ProvenIf): string =>
  restsOn.length > 0
    ? restsOn.map(({ proven }) => proven.join(', or ')).join('; and ')
    : `these are not all true together: ${together.join('; ')}`;

/** "position 3 is return home": with what it fails, where that is shorter than with what it holds. */
export const unlessWords = ({ restsOn }: ProvenIf): string | undefined => {
  const [proven, fails] = [restsOn.flatMap((r) => r.proven), restsOn.flatMap((r) => r.fails)];
  return fails.length > 0 && fails.length < proven.length ? fails.join(', or ') : undefined;
};

/**
 * Holds the requirements against the units that are still possible: each value of what is only assumed by itself; what
 * holds in all of those also where everything is otherwise at once, each value in one such unit. Not every combination.
 * @param setup the described unit; it is one of the possible ones
 * @returns undefined where it was given up
 */
function workedOut(setup: Setup, options: ProofOptions): OverUnits | undefined {
  const heard = listening(options.onProgress);
  const heeded = { ...options, ...heard.options };
  const base = proofOf(setup, heeded);
  const facets = openFacets(setup);
  const changing = facets.flatMap((facet) => {
    const values = facet.values.flatMap((value) => {
      const when = value.key === facet.now ? 'never' : apart(setup, withValues(setup, [value]));
      return when === 'never' ? [] : [{ value, inUse: when === 'in-use' }];
    });
    return values.length > 0 ? [{ facet, values }] : [];
  });
  const about = ({ id, title, of }: Facet): About => ({ id, title, of });
  const own = new Map(base.results.map((r) => [r.id, isProven(r)]));
  const waiting = REQUIREMENTS.filter((r) => own.has(r.id));
  /** Those that come to something else with another unit. */
  const otherwise = (unit: Setup, of: typeof waiting) =>
    resultsOf(unit, of, heeded).flatMap((r) => (isProven(r) === own.get(r.id) ? [] : [r.id]));

  /** What is the same while the unit is in use can only change these. */
  const beyond = waiting.filter((r) => r.claims(factsOf(setup)).some(leavesUse));
  const alone = changing.flatMap(({ facet, values }) =>
    values.map(({ value, inUse }) => {
      const unit = withValues(setup, [value]);
      return { facet, value, inUse, unit, differ: otherwise(unit, inUse ? waiting : beyond) };
    }),
  );
  const depending = new Set(alone.flatMap(({ differ }) => differ));
  const firm = waiting.filter((r) => own.get(r.id) && !depending.has(r.id));
  const rows = Array.from(
    { length: Math.max(0, ...changing.map(({ values }) => values.length)) },
    (_, i) => changing.map(({ values }) => values[i % values.length]!.value),
  );
  // With one thing alone that may be otherwise there is no together.
  const together = (changing.length > 1 && firm.length > 0 ? rows : []).map((row) => {
    const unit = withValues(setup, row);
    // Where one thing at most changes what it does in use, that was looked at above, if it does the same beside the others.
    const using = alone.filter((a) => a.inUse && row.includes(a.value));
    const like = using.length > 1 ? undefined : (using[0]?.unit ?? setup);
    const looked = like !== undefined && apart(like, unit) !== 'in-use';
    return { row, differ: otherwise(unit, looked ? firm.filter((r) => beyond.includes(r)) : firm) };
  });
  if (heard.gaveUp()) return undefined;
  return {
    idle: facets.filter((f) => !changing.some((c) => c.facet === f)).map(about),
    provenIf: waiting.flatMap(({ id, title }): ProvenIf[] => {
      const holds = own.get(id)!;
      const restsOn = changing.flatMap(({ facet, values }): RestsOn[] => {
        const others = alone.filter((t) => t.facet === facet && t.differ.includes(id));
        if (others.length === 0) return [];
        const now = facet.values.find((v) => v.key === facet.now);
        const same = values.filter((v) => !others.some(({ value }) => value === v.value));
        const as = [now, ...same.map(({ value }) => value)];
        const other = others.map(({ value }) => value);
        const [proven, fails] = holds ? [as, other] : [other, as];
        return [
          {
            facet: facet.id,
            title: facet.title,
            proven: proven.map((v) => v?.words ?? 'it is as described'),
            fails: fails.map((v) => v?.words ?? 'it is as described'),
            keys: { proven: proven.flatMap(keyOf), fails: fails.flatMap(keyOf) },
          },
        ];
      });
      const joint = together.find(({ differ }) => differ.includes(id));
      if (restsOn.length === 0 && !joint) return [];
      return [
        {
          requirement: id,
          title,
          proven: holds,
          restsOn,
          together: joint?.row.map(({ words }) => words) ?? [],
        },
      ];
    }),
  };
}
