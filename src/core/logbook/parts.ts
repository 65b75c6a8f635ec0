import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';
import canonicalize from 'canonicalize';
import { NAME_FIELDS, type Setup } from '../setup';
import { kindOfEvidence } from './kinds';
import type { Dependency } from './kinds/part';
import { aboutOf, type Subject } from './subject';

/** A part by its hash. */
export type HashedPart = Omit<Dependency, 'value'> & { hash: string };

const known = new WeakMap<Setup, Map<string, HashedPart[]>>();

/** What evidence depends on, hashed. Setups are immutable: worked out once for each. */
export function hashedParts(setup: Setup, subject: Subject): HashedPart[] {
  const own = known.get(setup) ?? new Map<string, HashedPart[]>();
  known.set(setup, own);
  const about = aboutOf(subject);
  if (!about) return [];
  const kind = kindOfEvidence(about);
  const once = (name: string, parts: () => Dependency[]): HashedPart[] => {
    const found = own.get(name) ?? hashed(parts());
    own.set(name, found);
    return found;
  };
  return [
    ...once(`${about.kind} of ${kind.sharing(about)}`, () => kind.parts(setup, about)),
    ...once(`asked ${subject.check} ${subject.surface}`, () => [
      { key: ASKED, title: 'what is to be done or seen', value: kind.asked(setup, about) },
    ]),
  ];
}

const hashed = (parts: readonly Dependency[]): HashedPart[] =>
  parts.map(({ value, ...part }) => ({ ...part, hash: hashOf(value) }));

/** Key of the part that holds what is asked, as data. */
export const ASKED = 'asks';

/** Names and notes a person gave: with another one the thing is the same. */
const NAMES = new Set([...NAME_FIELDS, 'say']);

/** What fields and values of a line were called in version 1 of the format. */
const FIRST_FIELDS: Readonly<Record<string, string>> = {
  follows: 'source',
  sharePct: 'weightPct',
  shiftPct: 'offsetPct',
  shape: 'curve',
  effect: 'op',
  shapes: 'curves',
};
const FIRST_VALUES: Readonly<Record<string, string>> = {
  adds: 'add',
  scales: 'multiply',
  'takes-over': 'replace',
};

/** The same under the names of version 1, so that what was seen before an upgrade counts after it. */
function firstNamed(value: unknown): unknown {
  if (typeof value === 'string') return FIRST_VALUES[value] ?? value;
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return value;
  const fields = Object.entries(value);
  if (fields.length === 1 && fields[0]![0] === 'kind' && fields[0]![1] === 'fixed')
    return { kind: 'constant' };
  return Object.fromEntries(fields.map(([key, v]) => [FIRST_FIELDS[key] ?? key, v]));
}

/** Short hash of a value, names aside: SHA-256 over canonical JSON (RFC 8785), first 16 bytes in hex. */
function hashOf(value: unknown): string {
  const named = JSON.stringify(value ?? null, (key, v: unknown) =>
    NAMES.has(key) ? undefined : firstNamed(v),
  );
  const text = canonicalize(JSON.parse(named)) ?? 'null';
  return bytesToHex(sha256(utf8ToBytes(text))).slice(0, 32);
}
