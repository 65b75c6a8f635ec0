/**
 * Some families of cases are too large for every run: `npm run test:full` takes them whole, `npm test`
 * a share of each that another seed turns on. The seed is printed; TOLVAN_SEED takes the same share
 * again.
 */
export const FULL = process.env.TOLVAN_FULL === '1';
export const SEED = Number(process.env.TOLVAN_SEED ?? 1);

/** Whether some things wait for their turn: in `npm test` alone. Whoever runs a file by its name runs all of it. */
const TURNS = process.env.TOLVAN_TURNS === '1';

/** Whether something known by its name is taken up today: one day in so many. */
export function isTurn(name: string, every: number): boolean {
  const sum = [...name].reduce((n, letter) => n + letter.codePointAt(0)!, 0);
  return !TURNS || (sum + SEED) % every === 0;
}

/**
 * Where a share begins today. Scrambled: what is taken up every third day would otherwise see every third share only.
 * The constant spreads whole numbers evenly (Knuth, The Art of Computer Programming 3, 6.4).
 */
const BEGINS = Math.imul(SEED, 0x9e3779b1) >>> 8;

/** Every so-many-th of a list, beginning where the seed says; all of it in a full run. */
export function share<T>(list: readonly T[], every: number): T[] {
  if (FULL) return [...list];
  return list.filter((_, i) => (i + BEGINS) % every === 0);
}
