import type { Range } from '@/core/setup';
import type { Reader } from './reader';

let asked: Promise<Reader> | undefined;
let atHand: Reader | undefined;

/** The reader of changes, fetched once in a tab. A fetch that failed is made again when it is next asked for. */
export function loadReader(): Promise<Reader> {
  asked ??= import('./reader').then((m) => (atHand = m.reader));
  asked.catch(() => (asked = undefined));
  return asked;
}

/** What a number of the Setup may be; anything before the reader is there, which refuses the rest itself. */
export const rangeOf = (path: string, as?: string): Range =>
  atHand?.rangeAt(path, as) ?? { min: -Infinity, max: Infinity };
