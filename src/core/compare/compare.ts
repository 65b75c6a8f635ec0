import { settingRows } from '../settings';
import type { Setup } from '../setup';

/** One difference between two versions of a document, in words. */
export interface Difference {
  /** What it is about: "Left aileron", "Roll", "Channel 3". */
  what: string;
  /** "gain 40 → 46 %" */
  words: string;
  /** The same side by side: "gain", "40 %", "46 %"; left out where it is only in another order. */
  name?: string;
  before?: string;
  after?: string;
}

type Json = null | boolean | number | string | readonly Json[] | { readonly [key: string]: Json };

const UNITS: readonly (readonly [suffix: string, unit: string])[] = [
  ['PerUs', '/µs'],
  ['Pct', ' %'],
  ['Deg', '°'],
  ['Mps', ' m/s'],
  ['Mm', ' mm'],
  ['Ms', ' ms'],
  ['Us', ' µs'],
  ['Min', ' min'],
  ['S', ' s'],
  ['G', ' g'],
];

/** "maxGainPct" as words and a unit: "max gain", " %". */
function fieldWords(key: string): { words: string; unit: string } {
  const found = UNITS.find(([suffix]) => key.endsWith(suffix) && key.length > suffix.length);
  const bare = found ? key.slice(0, -found[0].length) : key;
  return {
    words: bare
      .replace(/([a-z0-9])([A-Z])/g, '$1 $2')
      .toLowerCase()
      .replace(/-/g, ' '),
    unit: found?.[1] ?? '',
  };
}

const isObject = (v: Json | undefined): v is { readonly [key: string]: Json } =>
  typeof v === 'object' && v !== null && !Array.isArray(v);

/** By what the members of a list are told apart; by place where there is nothing else. */
function keyOf(member: Json, at: number): string {
  if (!isObject(member)) return `#${at + 1}`;
  for (const field of ['id', 'port', 'carries', 'channel', 'mode'] as const)
    if (typeof member[field] === 'string' || typeof member[field] === 'number')
      return `${field} ${member[field]}`;
  return `#${at + 1}`;
}

function nameOf(member: Json, key: string): string {
  if (isObject(member)) {
    if (typeof member.label === 'string') return member.label;
    if (typeof member.channel === 'number' && typeof member.carries === 'string')
      return `channel ${member.channel} (${member.carries})`;
    if (typeof member.channel === 'number') return `channel ${member.channel}`;
  }
  return key.replace(/^(id|carries) /, '').replace(/-/g, ' ');
}

function valueWords(value: Json | undefined, unit: string): string {
  if (value === undefined || value === null) return 'nothing';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'number') return `${String(value).replace('-', '−')}${unit}`;
  if (typeof value === 'string') return value === '' ? 'nothing' : value.replace(/-/g, ' ');
  return Array.isArray(value)
    ? value.every((v) => !isObject(v) && !Array.isArray(v))
      ? value.map((v) => valueWords(v, unit)).join(', ') || 'nothing'
      : `${value.length} entries`
    : Object.entries(value)
        .filter(([k]) => k !== 'id')
        .map(([k, v]) => `${fieldWords(k).words} ${valueWords(v, fieldWords(k).unit)}`)
        .join(', ');
}

/**
 * What differs between two versions, said as a person would: lists by what their members are, not
 * by place. Deterministic, and empty exactly when the two are equal.
 */
export function compare(before: Setup, after: Setup): Difference[] {
  const { found, rest } = settingDifferences(before, after);
  walk(before as unknown as Json, rest as unknown as Json, [], '', (what, words, sides) =>
    found.push({
      what: what.join(' · ') || 'This model',
      words,
      ...(sides ? { name: sides[0], before: sides[1], after: sides[2] } : {}),
    }),
  );
  return found;
}

/**
 * Settings of the unit in the words they are entered with.
 * @returns with them the later Setup, its settings put back to what the earlier one has for them: what
 *   is left to be told otherwise
 */
function settingDifferences(before: Setup, after: Setup): { found: Difference[]; rest: Setup } {
  const earlier = new Map(settingRows(before).map((row) => [row.id, row]));
  const rest = structured(after);
  const found: Difference[] = [];
  for (const row of settingRows(after)) {
    const was = earlier.get(row.id);
    if (!was || JSON.stringify(was.value) === JSON.stringify(row.value)) continue;
    found.push({
      what: row.about || 'Unit',
      words: `${row.name} ${was.words} → ${row.words}`,
      name: row.name,
      before: was.words,
      after: row.words,
    });
    was.write(rest.unit.settings, was.value);
  }
  return { found, rest };
}

const structured = (setup: Setup): Setup => JSON.parse(JSON.stringify(setup)) as Setup;

type Tell = (
  what: readonly string[],
  words: string,
  sides?: readonly [name: string, before: string, after: string],
) => void;

function walk(
  a: Json | undefined,
  b: Json | undefined,
  path: readonly string[],
  field: string,
  tell: Tell,
): void {
  if (isObject(a) && isObject(b)) {
    const keys = [...new Set([...Object.keys(a), ...Object.keys(b)])];
    const here = field === '' ? path : [...path, fieldWords(field).words];
    for (const key of keys) walk(a[key], b[key], here, key, tell);
    return;
  }
  if (Array.isArray(a) && Array.isArray(b) && [...a, ...b].some(isObject)) {
    const left = new Map(a.map((m: Json, i: number) => [keyOf(m, i), m]));
    const right = new Map(b.map((m: Json, i: number) => [keyOf(m, i), m]));
    // Members that cannot be told apart by name are told apart by place.
    const plain = left.size < a.length || right.size < b.length;
    const l = plain ? new Map(a.map((m: Json, i: number) => [`#${i + 1}`, m])) : left;
    const r = plain ? new Map(b.map((m: Json, i: number) => [`#${i + 1}`, m])) : right;
    const list = fieldWords(field).words;
    for (const key of new Set([...l.keys(), ...r.keys()])) {
      const x = l.get(key);
      const y = r.get(key);
      const name = nameOf((y ?? x) as Json, key);
      if (x === undefined)
        tell([...path, list], `${name} added: ${valueWords(y, '')}`, [
          name,
          NOT_THERE,
          valueWords(y, ''),
        ]);
      else if (y === undefined)
        tell([...path, list], `${name} taken out`, [name, valueWords(x, ''), NOT_THERE]);
      else if (isObject(x) && isObject(y))
        for (const k of new Set([...Object.keys(x), ...Object.keys(y)]))
          walk(x[k], y[k], [...path, name], k, tell);
      else walk(x, y, [...path, list], name, tell);
    }
    if (!plain && [...l.keys()].join() !== [...r.keys()].join() && sameSet(l, r))
      tell([...path, list], 'in another order');
    return;
  }
  if (JSON.stringify(a) === JSON.stringify(b)) return;
  if (field === 'owner')
    return tell(path, b === undefined ? 'yours from now on' : 'written by its choice again');
  const { words, unit } = fieldWords(field);
  tell(path, `${words} ${valueWords(a, '')} → ${valueWords(b, unit)}`, [
    words,
    valueWords(a, unit),
    valueWords(b, unit),
  ]);
}

const NOT_THERE = 'not there';

const sameSet = (a: ReadonlyMap<string, unknown>, b: ReadonlyMap<string, unknown>) =>
  a.size === b.size && [...a.keys()].every((k) => b.has(k));
