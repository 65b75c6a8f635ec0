import { explain, factAtoms, pairsOf } from '@/core/directions';
import { structuresOf, type Structure } from '@/core/directions/structures';
import { applyPatch } from '@/core/patch';
import type { Setup } from '@/core/setup';
import { watchAs } from './setups';
import { share } from './share';

const ids = (parts: readonly { id: string }[]) => parts.map((p) => p.id).sort();

/** The real model: structures and facts applied to what is written. */
const realOf = (written: Setup, parts: readonly Pick<Structure, 'patch'>[]) =>
  parts.reduce((setup, p) => applyPatch(setup, p.patch), written);

const subsets = <T>(list: readonly T[]): T[][] =>
  Array.from({ length: 1 << list.length }, (_, pick) => list.filter((_, i) => (pick >> i) & 1));

interface Case {
  structures: Structure[];
  facts: ReturnType<typeof factAtoms>;
}

/** Every mounting and every reversal, single and paired with a swapped plug. */
function product(written: Setup): Case[] {
  const structures = structuresOf(written).filter((s) =>
    s.every((x) => x.place === 'mounting' || x.id.startsWith('swap')),
  );
  const facts = subsets(factAtoms(written));
  return structures.flatMap((s) => facts.map((f) => ({ structures: s, facts: f })));
}

/**
 * The whole product for one model: the truth is offered, first where what was seen determines it,
 * and whatever is offered beside it is as good.
 */
export function runProduct(
  written: Setup,
  every = 1,
): { cases: number; first: number; of: number } {
  let first = 0;
  const all = product(written);
  const cases = share(all, every);
  const pairs = pairsOf(written);
  for (const { structures, facts } of cases) {
    const real = realOf(written, [...structures, ...facts]);
    // Everything that can be checked, surfaces that should stay still too.
    const observations = watchAs(written, real, true);
    const offered = explain(written, observations);
    const cost = structures.length + facts.length;
    const words = `${written.airframe.kind}: ${ids([...structures, ...facts]).join(' + ') || 'nothing'}`;
    const truth = offered.findIndex(
      (e) =>
        ids(e.structures).join() === ids(structures).join() &&
        ids(e.facts).join() === ids(facts).join(),
    );
    // Rods that a structure leaves without any movement cannot be known about.
    const seenFacts = facts.filter((f) => movesSomething(written, structures, f));
    // One of several dearer ways to say the same need not be listed.
    const cheaperFirst = offered[0] !== undefined && offered[0].cost < cost - 1e-9;
    if (seenFacts.length === facts.length && truth < 0 && !cheaperFirst)
      throw new Error(`not offered: ${words}`);
    if (offered.length === 0 || offered[0]!.cost > cost + 1e-9)
      throw new Error(`something dearer first: ${words}`);
    const cheaper = offered.filter((e) => e.cost < cost + 1e-9);
    if (truth >= 0 && cheaper.length === 1) {
      if (truth !== 0) throw new Error(`not first although it alone is as small: ${words}`);
      first += 1;
    }
    // All offered say just what was seen: nothing that can be checked is left to split them.
    const seen = observations.map((o) => o.seen === 'centre');
    for (const e of offered.slice(0, 4))
      pairs.forEach((_, i) => {
        if ((e.says[i] === 0) !== seen[i]) throw new Error(`offers what was not seen: ${words}`);
      });
  }
  return { cases: cases.length, first, of: all.length };
}

const flipsCache = new Map<string, boolean>();
function movesSomething(
  written: Setup,
  structures: readonly Structure[],
  fact: ReturnType<typeof factAtoms>[number],
): boolean {
  const key = `${written.airframe.kind} ${ids(structures).join()} ${fact.id}`;
  const known = flipsCache.get(key);
  if (known !== undefined) return known;
  const base = realOf(written, structures);
  const own = factAtoms(base).find((a) => a.id === fact.id)!;
  const moves =
    JSON.stringify(watchAs(written, base, true)) !==
    JSON.stringify(watchAs(written, applyPatch(base, own.patch), true));
  flipsCache.set(key, moves);
  return moves;
}
