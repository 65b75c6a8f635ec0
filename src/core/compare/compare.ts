import { settingRows } from '../settings';
import { functionOf, type ChannelFunction, type Setup } from '../setup';
import { fieldWords, isObject, isOneThing, memberWords, valueWords, type Json } from './values';

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
    if (isObject(member.line)) return nameOf(member.line, key);
    if (typeof member.channel === 'number' && typeof member.carries === 'string')
      return `channel ${member.channel} (${functionOf(member.carries as ChannelFunction).words})`;
    if (typeof member.carries === 'string')
      return functionOf(member.carries as ChannelFunction).words;
    if (typeof member.channel === 'number') return `channel ${member.channel}`;
  }
  return key.replace(/^(id|carries) /, '').replace(/-/g, ' ');
}

/**
 * What differs between two versions, said as a person would: lists by what their members are, not
 * by place. Deterministic, and empty exactly when the two are equal.
 */
export function compare(before: Setup, after: Setup): Difference[] {
  const { found, rest } = settingDifferences(before, after);
  const tell: Tell = (what, words, sides) =>
    found.push({
      what: what.join(' · ') || 'This model',
      words,
      ...(sides ? { name: sides[0], before: sides[1], after: sides[2] } : {}),
    });
  const names = { before: withNamesOf(before, after), after: withNamesOf(after, before) };
  walk(names, before as unknown as Json, rest as unknown as Json, [], '', tell);
  return found;
}

/** A Setup that also knows the names the other one gives: a part taken over may read what only that one has. */
const withNamesOf = (own: Setup, other: Setup): Setup => ({
  ...own,
  transmitter: {
    ...own.transmitter,
    controls: [...own.transmitter.controls, ...other.transmitter.controls],
  },
  program: {
    ...own.program,
    inputs: [...own.program.inputs, ...other.program.inputs],
    logic: [...own.program.logic, ...other.program.logic],
    shapes: [...own.program.shapes, ...other.program.shapes],
    variables: [...own.program.variables, ...other.program.variables],
  },
});

/**
 * Settings of the unit in the words they are entered with.
 * @returns with them the later Setup, its settings put back to what the earlier one has for them: what
 *   is left to be told otherwise
 */
function settingDifferences(before: Setup, after: Setup): { found: Difference[]; rest: Setup } {
  const earlier = new Map(settingRows(before).map((row) => [row.id, row]));
  const rest = structuredClone(after);
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

type Tell = (
  what: readonly string[],
  words: string,
  sides?: readonly [name: string, before: string, after: string],
) => void;

/** Each side, for the names of what it reads. */
interface Names {
  before: Setup;
  after: Setup;
}

function walk(
  names: Names,
  a: Json | undefined,
  b: Json | undefined,
  path: readonly string[],
  field: string,
  tell: Tell,
): void {
  if (isObject(a) && isObject(b) && !isOneThing(field, a) && !isOneThing(field, b)) {
    const keys = [...new Set([...Object.keys(a), ...Object.keys(b)])];
    const here = field === '' ? path : [...path, fieldWords(field).words];
    for (const key of keys) walk(names, a[key], b[key], here, key, tell);
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
        tell([...path, list], `${name} added: ${memberWords(names.after, field, y!)}`, [
          name,
          NOT_THERE,
          memberWords(names.after, field, y!),
        ]);
      else if (y === undefined)
        tell([...path, list], `${name} removed`, [
          name,
          memberWords(names.before, field, x),
          NOT_THERE,
        ]);
      else if (isObject(x) && isObject(y))
        for (const k of new Set([...Object.keys(x), ...Object.keys(y)]))
          walk(names, x[k], y[k], [...path, name], k, tell);
      else walk(names, x, y, [...path, list], name, tell);
    }
    if (!plain && [...l.keys()].join() !== [...r.keys()].join() && sameSet(l, r))
      tell([...path, list], 'in another order');
    return;
  }
  if (JSON.stringify(a) === JSON.stringify(b)) return;
  if (field === 'owner')
    return tell(path, b === undefined ? 'yours from now on' : 'written by its choice again');
  const { words, unit } = fieldWords(field);
  const [was, is] = [
    valueWords(names.before, field, a, unit),
    valueWords(names.after, field, b, unit),
  ];
  // The unit is said once where both sides have the same one.
  const bare =
    typeof a === 'number' && typeof b === 'number' ? was.slice(0, -unit.length || undefined) : was;
  tell(path, `${words} ${bare} → ${is}`, [words, was, is]);
}

const NOT_THERE = 'not there';

const sameSet = (a: ReadonlyMap<string, unknown>, b: ReadonlyMap<string, unknown>) =>
  a.size === b.size && [...a.keys()].every((k) => b.has(k));
