import canonicalize from 'canonicalize';
import type { Setup, WishId } from '../../setup';
import { LISTS } from './draft';
import { rewrite } from './write';

type Entry = { owner?: WishId | undefined; rates?: readonly Entry[] };

/**
 * Entries of the program that an edit has made other than their choice would write them are the
 * person's from now on: the choice leaves them alone.
 * @returns the Setup after the edit, with those entries given to the person
 */
export function claimed(before: Setup, after: Setup): Setup {
  if (before.program === after.program) return after;
  const known = new Map<WishId, ReadonlySet<string>>();
  /** What a choice would write for the Setup as it is now, entry by entry. */
  const writtenBy = (wish: WishId): ReadonlySet<string> => {
    const found = known.get(wish) ?? contentsOf(rewrite(after, wish).setup);
    known.set(wish, found);
    return found;
  };
  const was = contentsOf(before);
  let changed = false;
  const claim = <T extends Entry>(entry: T): T => {
    const rates = entry.rates?.map(claim);
    const own = rates?.some((r, i) => r !== entry.rates![i]) ? { ...entry, rates } : entry;
    const name = contentOf(entry);
    if (!entry.owner || was.has(name) || writtenBy(entry.owner).has(name)) return own;
    changed = true;
    const { owner: _, ...mine } = own;
    return mine as T;
  };
  const program = { ...after.program };
  for (const list of LISTS)
    Object.assign(program, { [list]: (after.program[list] as readonly Entry[]).map(claim) });
  return changed ? { ...after, program } : after;
}

/** Everything an entry says; the rates of an input are entries of their own. */
const contentOf = ({ rates: _, ...entry }: Entry): string => canonicalize(entry) ?? '';

function contentsOf({ program }: Setup): ReadonlySet<string> {
  const contents = LISTS.flatMap((list) =>
    (program[list] as readonly Entry[]).flatMap((e) => [
      contentOf(e),
      ...(e.rates ?? []).map(contentOf),
    ]),
  );
  return new Set(contents);
}
