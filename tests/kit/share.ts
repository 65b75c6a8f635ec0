/**
 * Some families of cases are too large for every run: `npm run test:full` takes them whole, `npm test`
 * a share of each that another seed turns on. The seed is printed; TOLVAN_SEED takes the same share
 * again.
 */
export const FULL = process.env.TOLVAN_FULL === '1';
export const SEED = Number(process.env.TOLVAN_SEED ?? 1);

/** Whether something known by its name is taken up today: one day in so many, and in every full run. */
export function isTurn(name: string, every: number): boolean {
  const sum = [...name].reduce((n, letter) => n + letter.codePointAt(0)!, 0);
  return FULL || (sum + SEED) % every === 0;
}

/** Every so-many-th of a list, beginning where the seed says; all of it in a full run. */
export function share<T>(list: readonly T[], every: number): T[] {
  if (FULL) return [...list];
  return list.filter((_, i) => (i + SEED) % every === 0);
}
