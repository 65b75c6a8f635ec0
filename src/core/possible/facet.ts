import { copyOf } from '../json';
import type { GroundKey, Setup } from '../setup';

/** One value a line of a description may have. */
export interface Value {
  /** Its own among those of its facet. */
  key: string;
  /** After "proven if": "it keeps the last gain". */
  words: string;
  /** How many of a hundred units are like that. Common practice, no source. */
  usual: number;
  /** Makes the unit of a Setup such a one, with what goes with it. May change `unit` and fields of `installation`. */
  change(next: Setup): void;
}

/** One thing that may be otherwise with a unit: what it is about, and everything it may be. */
export interface Facet {
  id: string;
  /** For a table: "without its gain lead". */
  title: string;
  /** The line of the description that says it. */
  of: GroundKey;
  /** The value the description has now, by its key; undefined where that is not among the usual ones. */
  now: string | undefined;
  values: readonly Value[];
  /** Its bit of `RESTS_ON`, where the chain says in which moments it counts. */
  restsOn?: number;
  /** It is about what the unit shows, and changes nothing that it does. */
  sign?: true;
}

/** A trait whose value is often not known: a file and a line in the registry. */
export interface PossibleTrait {
  /** What of this Setup's unit it leaves open; none where the unit cannot have it. */
  facets(setup: Setup): Facet[];
}

/** Values that differ in their key alone. @param change makes a unit the one of a key */
export const valuesOf = <K extends string>(
  rows: readonly (readonly [key: K, words: string, usual: number])[],
  change: (next: Setup, key: K) => void,
): Value[] =>
  rows.map(([key, words, usual]) => ({ key, words, usual, change: (next) => change(next, key) }));

/** A Setup whose unit has some values, all put at once; what they do not change is shared. */
export function withValues(setup: Setup, values: readonly Value[]): Setup {
  const next = {
    ...setup,
    unit: copyOf(setup.unit),
    installation: { ...setup.installation },
  };
  for (const value of values) value.change(next);
  return next;
}
