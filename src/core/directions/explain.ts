import { beliefMatrix, movementOf, type Movement } from '../chain';
import { applyPatch } from '../patch';
import { AXES, type Setup } from '../setup';
import { factAtoms, type Atom } from './atoms';
import { authority } from '../model';
import {
  allExpectations,
  checksFor,
  crossExpectations,
  type Check,
  type Expectation,
} from './checks';
import { handsOf } from './pose';
import { predictAll, type Circumstances } from './predict';
import { allCombinations } from './solve';
import { structuresOf, type Structure } from './structures';

/** What a person saw one surface do in one check. 'centre' is: it did not move. */
export interface Observation {
  check: string;
  surface: string;
  seen: Movement;
}

/** A way the real model may be: how it is built or fixed, and what is reversed in it. */
export interface Explanation {
  structures: readonly Structure[];
  /** The Setup with the structures, nothing reversed yet. */
  setup: Setup;
  /** What is reversed beside. */
  facts: readonly Atom[];
  cost: number;
  /** Sign of every pair as it would be seen; 0 stands still. */
  says: readonly number[];
}

/** Pairs of check and surface, and what each was seen to do: 1, −1, 0 still, undefined not looked at. */
export interface Looked {
  pairs: readonly Expectation[];
  seen: readonly (number | undefined)[];
}

/** One way the model could be, its signs and flips worked out when first needed. */
interface Entry {
  structures: readonly Structure[];
  /** Facts taken into the Setup already, because they do not simply turn signs round here. */
  given: readonly Atom[];
  setup: Setup;
  signs(): { signs: readonly number[]; moving: bigint };
  facts(): { atoms: readonly Atom[]; masks: readonly bigint[] };
}

interface Table {
  pairs: readonly Expectation[];
  checks: readonly Check[];
  entries: readonly Entry[];
}

const tables = new WeakMap<Setup, Table>();

/** Everything that can be asked about a Setup: what must move in each check, then what must not. */
export const pairsOf = (setup: Setup): Expectation[] => [
  ...allExpectations(setup),
  ...crossExpectations(setup),
];

/** Sign of each pair as the chain predicts it for a model asked about as `written` has it. */
export function signsOf(
  real: Setup,
  written: Setup,
  pairs: readonly Expectation[],
  circumstances?: Circumstances,
): number[] {
  const predictions = predictAll(real, checksFor(written), handsOf(written), circumstances);
  return pairs.map(({ check, surface }) => {
    const answer = predictions.get(check.id)?.get(surface.id);
    return answer === undefined || answer.movement === 'centre' ? 0 : Math.sign(answer.deg);
  });
}

/** Puts observations beside the pairs of a Setup. @throws RangeError for a surface it has not */
export function lookedAt(setup: Setup, observations: readonly Observation[]): Looked {
  for (const o of observations)
    if (!setup.airframe.surfaces.some((s) => s.id === o.surface))
      throw new RangeError(`there is no surface "${o.surface}"`);
  const { pairs } = tableOf(setup);
  return {
    pairs,
    seen: pairs.map(({ check, surface }) => {
      const o = observations.find((x) => x.check === check.id && x.surface === surface.id);
      if (!o) return undefined;
      if (o.seen === 'centre') return 0;
      return o.seen === movementOf(surface, 10) ? 1 : -1;
    }),
  };
}

/** Bit i set where pair i holds. */
export function maskWhere(pairs: readonly unknown[], holds: (i: number) => boolean): bigint {
  return pairs.reduce<bigint>((mask, _, i) => (holds(i) ? mask | (1n << BigInt(i)) : mask), 0n);
}

/** What each change turns round, found by asking the chain. */
export function flipMasks(
  setup: Setup,
  written: Setup,
  atoms: readonly Atom[],
  pairs: readonly Expectation[],
  before: readonly number[],
  circumstances?: Circumstances,
): bigint[] {
  return atoms.map((atom) => {
    const after = signsOf(applyPatch(setup, atom.patch), written, pairs, circumstances);
    return maskWhere(pairs, (i) => after[i] !== before[i]);
  });
}

function tableOf(written: Setup): Table {
  const found = tables.get(written);
  if (found) return found;
  const pairs = pairsOf(written);
  const entries = structuresOf(written).flatMap((structures) => {
    const setup = applyPatch(
      written,
      structures.flatMap((s) => s.patch),
    );
    const senses = tangled(written, setup)
      ? factAtoms(setup, written.unit.settings.wingType).filter((a) =>
          /^(sense|taught)-/.test(a.id),
        )
      : [];
    return subsetsOf(senses).map((given) =>
      entryOf(
        written,
        pairs,
        structures,
        applyPatch(
          setup,
          given.flatMap((a) => a.patch),
        ),
        given,
        senses,
      ),
    );
  });
  const table = { pairs, checks: checksFor(written), entries };
  tables.set(written, table);
  return table;
}

function entryOf(
  written: Setup,
  pairs: readonly Expectation[],
  structures: readonly Structure[],
  setup: Setup,
  given: readonly Atom[],
  fixed: readonly Atom[],
): Entry {
  const circumstances = structures.find((s) => s.circumstances)?.circumstances;
  let signs: ReturnType<Entry['signs']> | undefined;
  let facts: ReturnType<Entry['facts']> | undefined;
  const entry: Entry = {
    structures,
    given,
    setup,
    signs() {
      if (!signs) {
        const found = signsOf(setup, written, pairs, circumstances);
        signs = { signs: found, moving: maskWhere(found, (i) => found[i] !== 0) };
      }
      return signs;
    },
    facts() {
      if (!facts) {
        const atoms = factAtoms(setup, written.unit.settings.wingType).filter(
          (a) => !fixed.some((f) => f.id === a.id),
        );
        const before = entry.signs().signs;
        facts = { atoms, masks: flipMasks(setup, written, atoms, pairs, before, circumstances) };
      }
      return facts;
    },
  };
  return entry;
}

/**
 * Whether one movement reaches a mixed surface by two axes at once: the unit takes axes for one
 * another, and adds them up. Then its senses do not turn signs round one by one, and each set of
 * them is asked of the chain by itself.
 */
function tangled(written: Setup, real: Setup): boolean {
  const { mounting } = real.installation;
  if (mounting === written.installation.mounting) return false;
  const mixes = real.airframe.surfaces.some(
    (s) => Object.keys(authority(real.airframe, s)).length > 1,
  );
  return mixes && beliefMatrix(real).some((v, i) => i % 4 !== 0 && Math.abs(v) > 0.5);
}

const subsetsOf = <T>(list: readonly T[]): T[][] =>
  Array.from({ length: 1 << list.length }, (_, pick) => list.filter((_, i) => (pick >> i) & 1));

/** Whether so much was seen that a turned unit or a wrong plug can be told from a reversal. */
function enoughSeen({ pairs, seen }: Looked): boolean {
  const asked = pairs.map((p, i) => ({ p, i })).filter(({ p }) => p.check.kind === 'correction');
  const axes = AXES.filter((axis) => asked.some(({ p }) => p.check.axis === axis && p.sign !== 0));
  const full = axes.filter((axis) =>
    asked.every(
      ({ p, i }) => p.check.axis !== axis || p.check.again || p.sign === 0 || seen[i] !== undefined,
    ),
  );
  return full.length >= Math.min(2, axes.length);
}

/**
 * Every explanation of what was seen, fewest faults first. Turned units and plugs are thought of
 * only once the corrections of two axes were seen in full: one axis alone cannot be the mounting.
 * @returns empty when nothing known explains all of it
 */
export function explain(setup: Setup, observations: readonly Observation[]): Explanation[] {
  const looked = lookedAt(setup, observations);
  const { seen } = looked;
  const { entries } = tableOf(setup);
  const asWritten = entries[0]!.signs().signs;
  const still = maskWhere(seen, (i) => seen[i] === 0);
  const care = maskWhere(seen, (i) => seen[i] !== undefined && seen[i] !== 0);
  const found: Explanation[] = [];
  const enough = enoughSeen(looked);
  for (const { structures, given, setup: real, signs: signsNow, facts } of entries) {
    const needsMore = structures.some((s) => s.needsMore);
    if (!enough && needsMore) continue;
    const { signs, moving } = signsNow();
    // What nobody could see by any of these looks explains nothing.
    if (structures.length > 0 && !needsMore && signs.every((s, i) => s === asWritten[i])) continue;
    if ((moving & still) !== 0n || (care & ~moving) !== 0n) continue;
    const wanted = maskWhere(signs, (i) => seen[i] !== signs[i]) & care;
    const { atoms, masks } = facts();
    for (const chosen of allCombinations(masks, wanted, care)) {
      const turned = chosen.reduce((mask, i) => mask ^ masks[i]!, 0n);
      const turnedFacts = [...given, ...chosen.map((i) => atoms[i]!)];
      found.push({
        structures,
        setup: real,
        facts: turnedFacts,
        cost: [...structures, ...turnedFacts].reduce((sum, f) => sum + f.cost, 0),
        says: signs.map((sign, i) => ((turned >> BigInt(i)) & 1n ? -sign : sign)),
      });
    }
  }
  return found.toSorted((a, b) => a.cost - b.cost);
}

/** Less than one fault between them: a state that passes is a little likelier than a fault, no more. */
const AS_GOOD = 0.25;

/** The best explanation's equals: as many faults, none fewer. */
export const equalsOf = (explanations: readonly Explanation[]): Explanation[] =>
  explanations.filter((e) => e.cost <= explanations[0]!.cost + AS_GOOD);

/** A movement to look at next, and the surfaces whose answer would tell explanations apart. */
export interface Look {
  check: Check;
  surfaces: Expectation[];
}

/**
 * What splits the explanations that are left, the movement that tells most of them apart first.
 * Equally small ones are told apart; when the best stands alone there is nothing to ask.
 */
export function tellApart({ pairs, seen }: Looked, explanations: readonly Explanation[]): Look[] {
  const left = equalsOf(explanations);
  if (left.length < 2) return [];
  const looks = new Map<string, { look: Look; at: number[] }>();
  pairs.forEach((pair, i) => {
    if (seen[i] !== undefined || left.every((e) => e.says[i] === left[0]!.says[i])) return;
    const entry = looks.get(pair.check.id) ?? { look: { check: pair.check, surfaces: [] }, at: [] };
    entry.look.surfaces.push(pair);
    entry.at.push(i);
    looks.set(pair.check.id, entry);
  });
  const kinds = (at: number[]) => new Set(left.map((e) => at.map((i) => e.says[i]).join())).size;
  return [...looks.values()].toSorted((a, b) => kinds(b.at) - kinds(a.at)).map(({ look }) => look);
}
