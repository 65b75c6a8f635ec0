import { compare, type Difference } from '../compare';
import type { Setup } from '../setup';
import { partsOf, type Part } from './parts';

/** A part in which two Setups differ. */
export interface Differing {
  id: string;
  title: string;
  /** What is here, and what is there. */
  differences: Difference[];
  /** Who changed it since both were one; left out where that is not known. */
  changed?: 'here' | 'there' | 'both';
}

const taking = (mine: Setup, theirs: Setup, parts: readonly Part[]): Setup => {
  const into = structuredClone(mine);
  const from = structuredClone(theirs);
  for (const part of parts) part.take(into, from);
  return into;
};

const differences = (mine: Setup, theirs: Setup, part: Part): Difference[] =>
  compare(mine, taking(mine, theirs, [part]));

/**
 * The parts in which two Setups differ, in words.
 * @param base the Setup both come from, where there is one
 */
export function differingParts(mine: Setup, theirs: Setup, base?: Setup): Differing[] {
  return partsOf(mine, theirs).flatMap((part): Differing[] => {
    const found = differences(mine, theirs, part);
    if (found.length === 0) return [];
    const said = { id: part.id, title: part.title, differences: found };
    if (!base) return [said];
    const here = differences(base, mine, part).length > 0;
    const there = differences(base, theirs, part).length > 0;
    return [{ ...said, changed: here && there ? 'both' : there ? 'there' : 'here' }];
  });
}

/**
 * This Setup with some parts of the other. Whether it is one that holds together is judged by whoever
 * reads it: parts may name what the other has alone.
 */
export const merged = (mine: Setup, theirs: Setup, ids: ReadonlySet<string>): Setup =>
  taking(
    mine,
    theirs,
    partsOf(mine, theirs).filter((p) => ids.has(p.id)),
  );

/** A Setup without what a copy has of its own: its name, and work done on the model itself. */
export function origin(setup: Setup): string {
  const { name: _, installation, ...rest } = setup;
  const { revisions: _r, ...fitting } = installation;
  return JSON.stringify({ ...rest, fitting });
}
