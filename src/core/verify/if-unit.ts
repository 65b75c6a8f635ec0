import { apart, facetsOf, openFacets, withValues, type Facet, type Value } from '../possible';
import { pointer, type Setup } from '../setup';
import { factsOf, leavesUse } from './engine';
import { listening } from './explore';
import type { Finding } from './finding';
import type { ProofOptions } from './proof';
import { cameTo, type Came } from './prove';
import { REQUIREMENTS, type Requirement } from './requirements';
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

/** A unit with one value put, and what the requirements that it may change come to. */
interface Put {
  facet: Facet;
  value: Value;
  unit: Setup;
  /** It does otherwise while in use; only asked where the chain does not say what rests on it. */
  inUse: boolean;
  came: ReadonlyMap<RequirementId, Came>;
}

/**
 * Holds the requirements against the units that are still possible: each value of what is only assumed by itself; what
 * holds in all of those also where everything is otherwise at once, each value in one such unit. Not every combination.
 * Nothing is proved again that does not rest on what was put.
 * @param setup the described unit; it is one of the possible ones
 * @returns undefined where it was given up
 */
function workedOut(setup: Setup, options: ProofOptions): OverUnits | undefined {
  const heard = listening(options.onProgress);
  const heeded = { ...options, ...heard.options };
  const own = cameTo(setup, REQUIREMENTS, heeded);
  const waiting = REQUIREMENTS.filter((r) => own.has(r.id));
  /** What is the same while the unit is in use can only change these. */
  const beyond = waiting.filter((r) => r.claims(factsOf(setup)).some(leavesUse));
  const put = (facet: Facet, value: Value): Put[] => {
    if (value.key === facet.now || facet.sign) return [];
    const unit = withValues(setup, [value]);
    const proved = (of: readonly Requirement[], inUse: boolean): Put[] =>
      of.length === 0 ? [] : [{ facet, value, unit, inUse, came: cameTo(unit, of, heeded) }];
    const { restsOn } = facet;
    if (restsOn !== undefined)
      return proved(
        waiting.filter(({ id }) => (own.get(id)!.restsOn & restsOn) !== 0),
        false,
      );
    switch (apart(setup, unit)) {
      case 'in-use':
        return proved(waiting, true);
      case 'out-of-use':
        return proved(beyond, false);
      case 'never':
        return [];
    }
  };
  const facets = openFacets(setup);
  const changing = facets.flatMap((facet) => {
    const alone = facet.values.flatMap((value) => put(facet, value));
    return alone.length > 0 ? [{ facet, alone }] : [];
  });
  const alone = changing.flatMap((c) => c.alone);
  const differs = (came: Put['came'], id: RequirementId) =>
    (came.get(id) ?? own.get(id)!).proven !== own.get(id)!.proven;
  const firm = waiting.filter(
    ({ id }) => own.get(id)!.proven && !alone.some(({ came }) => differs(came, id)),
  );
  const rows = Array.from({ length: Math.max(0, ...changing.map((c) => c.alone.length)) }, (_, i) =>
    changing.map((c) => c.alone[i % c.alone.length]!),
  );
  // With one thing alone that may be otherwise there is no together.
  const together = (changing.length > 1 && firm.length > 0 ? rows : []).map((row) => {
    const unit = withValues(
      setup,
      row.map(({ value }) => value),
    );
    const open = firm.filter(({ id }) => !aloneSays(id, row, own));
    return { row, came: cameTo(unit, inReach(setup, unit, row, open, beyond), heeded) };
  });
  if (heard.gaveUp()) return undefined;
  const about = ({ id, title, of }: Facet): About => ({ id, title, of });
  return {
    idle: facets.filter((f) => !changing.some((c) => c.facet === f)).map(about),
    provenIf: waiting.flatMap(({ id, title }): ProvenIf[] => {
      const holds = own.get(id)!.proven;
      const restsOn = changing.flatMap((c): RestsOn[] => {
        const { facet } = c;
        const others = c.alone.filter(({ came }) => differs(came, id));
        if (others.length === 0) return [];
        const now = facet.values.find((v) => v.key === facet.now);
        const same = c.alone.filter((a) => !others.includes(a));
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
      const joint = together.find(({ came }) => differs(came, id));
      if (restsOn.length === 0 && !joint) return [];
      return [
        {
          requirement: id,
          title,
          proven: holds,
          restsOn,
          together: joint?.row.map(({ value }) => value.words) ?? [],
        },
      ];
    }),
  };
}

/**
 * Whether what a requirement comes to with one value of a row, or with none, is what it comes to with the whole row:
 * nothing that it saw then rests on the others.
 */
function aloneSays(
  id: RequirementId,
  row: readonly Put[],
  own: ReadonlyMap<RequirementId, Came>,
): boolean {
  return [undefined, ...row].some((one) => {
    const came = one?.came.get(id) ?? own.get(id)!;
    return row.every(
      ({ facet: { restsOn } }, i) =>
        row[i] === one || (restsOn !== undefined && (came.restsOn & restsOn) === 0),
    );
  });
}

/**
 * Those of some requirements that a row of values can change. Where one value at most changes what the unit does in use,
 * that was looked at by itself: if the unit does the same in use beside the others, only what leaves use is left.
 */
function inReach(
  setup: Setup,
  unit: Setup,
  row: readonly Put[],
  open: readonly Requirement[],
  beyond: readonly Requirement[],
): readonly Requirement[] {
  if (open.length === 0 || row.some(({ facet }) => facet.restsOn !== undefined)) return open;
  const using = row.filter(({ inUse }) => inUse);
  const like = using.length > 1 ? undefined : (using[0]?.unit ?? setup);
  const looked = like !== undefined && apart(like, unit) !== 'in-use';
  return looked ? open.filter((r) => beyond.includes(r)) : open;
}
