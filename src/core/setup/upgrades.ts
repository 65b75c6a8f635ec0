/**
 * Functions that carry an old document to the next version, by the version they start from. Version
 * 1 is the first, so the table is empty; `read` walks it until it reaches the current version.
 */
export const UPGRADES: Readonly<
  Record<number, (old: Record<string, unknown>) => Record<string, unknown>>
> = {};
