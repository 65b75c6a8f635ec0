import canonicalize from 'canonicalize';
import type { LogEntry } from './entry';

/** All that a line says, its name and the version it was written under aside. */
export const saidIn = ({ uid: _, version: __, ...said }: LogEntry): string =>
  canonicalize(said) ?? '';

/**
 * Lines brought into a log: each is in it already, by its name and all it says, or comes in. A line
 * whose name stands for other words here, and the second of two equal lines in one file, come in
 * under a name made from what they say, so that bringing the same file in again adds nothing.
 */
export function mergeLines(
  own: Iterable<LogEntry>,
  incoming: Iterable<LogEntry>,
): { add: LogEntry[]; known: number } {
  const here = new Map<string, string>();
  for (const entry of own) here.set(entry.uid, saidIn(entry));
  const before = new Set(here.keys());
  const used = new Set<string>();
  const add: LogEntry[] = [];
  let known = 0;
  for (const entry of incoming) {
    const said = saidIn(entry);
    for (let n = 0; ; n++) {
      const uid = n === 0 ? entry.uid : `line-${fingerprint(`${entry.uid} ${n} ${said}`)}`;
      if (used.has(uid)) continue;
      if (here.has(uid) && here.get(uid) !== said) continue;
      used.add(uid);
      if (before.has(uid)) known += 1;
      else {
        here.set(uid, said);
        add.push(uid === entry.uid ? entry : { ...entry, uid });
      }
      break;
    }
  }
  return { add, known };
}

/** Sixteen hexadecimal digits of a text (FNV-1a from two starting points). */
export function fingerprint(text: string): string {
  const hash = (seed: number) => {
    let h = seed >>> 0;
    for (let i = 0; i < text.length; i++) h = Math.imul(h ^ text.charCodeAt(i), 0x01000193) >>> 0;
    return h.toString(16).padStart(8, '0');
  };
  return `${hash(0x811c9dc5)}${hash(0x01234567)}`;
}
