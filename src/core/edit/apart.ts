import type { Program, Setup } from '../setup';
import { NAMED_LISTS } from './entries';

/** Lists of a program whose entries have names. */
const LISTS = [...NAMED_LISTS, 'lines'] as const satisfies readonly (keyof Program)[];

const idsOf = ({ program }: Setup, list: (typeof LISTS)[number]): ReadonlySet<string> =>
  new Set([
    ...program[list].map((e) => e.id),
    ...(list === 'lines' ? (program.aside ?? []).map((a) => a.line.id) : []),
  ]);

/**
 * One of two Setups that went different ways from the same one, its new entries under names that the other has given
 * to none of its own: two that were added in two places stay two.
 */
export function keptApart(base: Setup, mine: Setup, theirs: Setup): Setup {
  const names = new Map<string, string>();
  for (const list of LISTS) {
    const [was, own, other] = [idsOf(base, list), idsOf(mine, list), idsOf(theirs, list)];
    for (const id of own) {
      if (was.has(id) || !other.has(id)) continue;
      let n = 2;
      while (own.has(`${id}-${n}`) || other.has(`${id}-${n}`)) n += 1;
      names.set(id, `${id}-${n}`);
    }
  }
  if (names.size === 0) return mine;
  // Entries read one another by name; what a control is called is not theirs.
  const program = JSON.parse(
    JSON.stringify(mine.program),
    function (this: { kind?: unknown }, key, value: unknown) {
      const isName =
        key === 'shape' || key === 'after' || (key === 'id' && this.kind !== 'control');
      return isName && typeof value === 'string' ? (names.get(value) ?? value) : value;
    },
  ) as Program;
  return { ...mine, program };
}
