/**
 * Sets of changes by arithmetic modulo two: each change flips a fixed set of pairs, and a set of
 * changes flips the pairs that an odd number of its members flip.
 */

/** No more answers than this are listed; far above what a person would read. */
const MOST = 64;
/** Free changes beyond this many would make the list endless. */
const MOST_FREE = 10;

/**
 * All sets of `masks` that combine to `wanted` on the pairs of `care`, changes that flip nothing
 * there left out. Gaussian elimination over GF(2), then every combination of the free ones.
 * @returns index lists, smallest first; empty when impossible
 */
export function allCombinations(
  masks: readonly bigint[],
  wanted: bigint,
  care: bigint,
): number[][] {
  const rows: { mask: bigint; uses: number }[] = [];
  const free: number[] = [];
  masks.forEach((whole, i) => {
    let mask = whole & care;
    if (mask === 0n) return;
    let uses = 1 << i;
    for (const row of rows)
      if ((mask & lowest(row.mask)) !== 0n) {
        mask ^= row.mask;
        uses ^= row.uses;
      }
    if (mask === 0n) free.push(uses);
    else rows.push({ mask, uses });
  });
  let rest = wanted & care;
  let base = 0;
  for (const row of rows)
    if ((rest & lowest(row.mask)) !== 0n) {
      rest ^= row.mask;
      base ^= row.uses;
    }
  if (rest !== 0n) return [];
  const spare = free.slice(0, MOST_FREE);
  return Array.from({ length: 1 << spare.length }, (_, pick) =>
    spare.reduce((uses, own, i) => ((pick >> i) & 1 ? uses ^ own : uses), base),
  )
    .map((uses) => masks.flatMap((_, i) => ((uses >> i) & 1 ? [i] : [])))
    .toSorted((a, b) => a.length - b.length)
    .slice(0, MOST);
}

const lowest = (mask: bigint): bigint => mask & -mask;
