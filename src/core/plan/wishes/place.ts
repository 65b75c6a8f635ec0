import canonicalize from 'canonicalize';
import { WISHES, type Program, type WishId } from '../../setup';
import { LISTS, type Entries } from './draft';

type Owned = { owner?: WishId | undefined };

const rank = (entry: Owned): number => (entry.owner ? WISHES.indexOf(entry.owner) : -1);

/** One name for an entry: channels have one failsafe each, everything else has an id. */
const nameOf = (entry: object): string =>
  'id' in entry ? String(entry.id) : String((entry as { channel: number }).channel);

/**
 * Puts what a choice writes in the place of what it had written. An entry that is there already stays
 * where it stands; a new one comes after the last of its choice, or where its choice stood, or where its choice belongs among the
 * others. What the person wrote is neither moved nor touched, and keeps its name.
 * @returns the program, and the entries of the person that stand where the choice would have written
 */
export function placed(
  program: Program,
  owner: WishId,
  own: Entries,
  over: boolean,
): { program: Program; kept: string[] } {
  const next = { ...program };
  const kept: string[] = [];
  for (const list of LISTS) {
    // A line that the person has switched off is not written again beside it.
    const off = list === 'lines' && !over ? (program.aside ?? []).map((a) => a.line.id) : [];
    const { entries, standing } = placedIn<Owned>(program[list], owner, own[list], over, off);
    Object.assign(next, { [list]: entries });
    kept.push(...standing.map((name) => `${list} ${name}`));
  }
  if (over && program.aside) {
    const again = new Set(own.lines.map((l) => l.id));
    const { aside, ...rest } = next;
    const left = aside!.filter((a) => !again.has(a.line.id));
    return { program: left.length > 0 ? { ...rest, aside: left } : rest, kept };
  }
  return { program: next, kept };
}

function placedIn<T extends Owned & object>(
  before: readonly T[],
  owner: WishId,
  fresh: readonly T[],
  over: boolean,
  off: readonly string[],
): { entries: T[]; standing: string[] } {
  const names = new Set(fresh.map(nameOf));
  const mine = (e: T) => e.owner === owner || (over && !e.owner && names.has(nameOf(e)));
  const others = new Set([...before.filter((e) => !mine(e)).map(nameOf), ...off]);
  const standing = fresh.map(nameOf).filter((name) => others.has(name));
  const waiting = new Map(
    fresh.filter((e) => !others.has(nameOf(e))).map((e) => [nameOf(e), e] as const),
  );
  const entries: T[] = [];
  let after = -1;
  let stood = -1;
  for (const entry of before) {
    if (!mine(entry)) {
      entries.push(entry);
      continue;
    }
    if (stood < 0) stood = entries.length;
    const again = waiting.get(nameOf(entry));
    waiting.delete(nameOf(entry));
    // The same again is the very entry that was there, down to the order of its fields.
    if (again) after = entries.push(alike(again, entry) ? entry : again);
  }
  const at = after >= 0 ? after : stood >= 0 ? stood : placeOf(entries, owner);
  entries.splice(at, 0, ...waiting.values());
  return { entries, standing };
}

export const alike = (a: object, b: object): boolean => canonicalize(a) === canonicalize(b);

/** Before the first entry of a choice that has a later word, else after the last that was written. */
function placeOf(entries: readonly Owned[], owner: WishId): number {
  const own = WISHES.indexOf(owner);
  const later = entries.findIndex((e) => rank(e) > own);
  if (later >= 0) return later;
  const last = entries.findLastIndex((e) => e.owner !== undefined);
  return last >= 0 ? last + 1 : entries.length;
}
