import { modeWords } from '../chain';
import { WISH_TITLES } from '../plan';
import {
  functionOf,
  mountingWords,
  MOUNTINGS,
  printed,
  WISHES,
  type ChannelFunction,
  type Condition,
  type Line,
  type Logic,
  type Mode,
  type Mounting,
  type Setup,
  type Source,
} from '../setup';
import { conditionWords, lineWords, logicWords, sourceWords } from '../sheets';

export type Json =
  null | boolean | number | string | readonly Json[] | { readonly [key: string]: Json };

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

/** Fields and parts whose names in the format are not the words of the trade. */
const FIELD_WORDS: Readonly<Record<string, string>> = {
  intents: 'choices',
  wishes: 'extra channels',
  sharePct: 'share',
  shiftPct: 'shift',
  minPct: 'lower endpoint',
  maxPct: 'upper endpoint',
  subtrimPct: 'subtrim',
  when: 'condition',
  of: 'condition',
  set: 'set by',
  reset: 'reset by',
  aside: 'lines switched off',
  at: 'place',
};

/** "panic recovery" */
const choiceTitle = (key: string): string | undefined => {
  const choice = WISHES.find((w) => w === key);
  return choice && WISH_TITLES[choice].toLowerCase();
};

/** "maxGainPct" as words and a unit: "max gain", " %". */
export function fieldWords(key: string): { words: string; unit: string } {
  const found = UNITS.find(([suffix]) => key.endsWith(suffix) && key.length > suffix.length);
  const bare = found ? key.slice(0, -found[0].length) : key;
  return {
    words:
      FIELD_WORDS[key] ??
      choiceTitle(key) ??
      bare
        .replace(/([a-z0-9])([A-Z])/g, '$1 $2')
        .toLowerCase()
        .replace(/-/g, ' '),
    unit: found?.[1] ?? '',
  };
}

export const isObject = (v: Json | undefined): v is { readonly [key: string]: Json } =>
  typeof v === 'object' && v !== null && !Array.isArray(v);

/** What a field of this name holds, where it is said as one thing and never taken apart. */
type Say = (setup: Setup, value: Json) => string | undefined;

const condition: Say = (setup, value) =>
  isObject(value) && typeof value.kind === 'string'
    ? conditionWords(setup, value as unknown as Condition)
    : undefined;
const source: Say = (setup, value) =>
  isObject(value) ? sourceWords(setup, value as unknown as Source) : undefined;
const control: Say = ({ transmitter }, value) =>
  transmitter.controls.find((c) => c.id === value)?.label;
const mode: Say = ({ unit }, value) =>
  unit.traits.modes.includes(value as Mode) ? modeWords(unit, value as Mode) : undefined;
const mounting: Say = ({ airframe }, value) =>
  (MOUNTINGS as readonly unknown[]).includes(value)
    ? mountingWords(value as Mounting, airframe)
    : undefined;
const carried: Say = (_, value) => functionOf(value as ChannelFunction)?.words;
const named =
  (list: (setup: Setup) => readonly { id: string; label: string }[]): Say =>
  (setup, value) =>
    list(setup).find((e) => e.id === value)?.label;

const SAYS: Readonly<Record<string, Say>> = {
  when: condition,
  set: condition,
  reset: condition,
  of: condition,
  follows: source,
  control,
  trim: control,
  knob: control,
  off: control,
  adjust: control,
  switches: control,
  roll: control,
  pitch: control,
  yaw: control,
  mode,
  slots: mode,
  table: mode,
  modes: mode,
  mounting,
  orientation: mounting,
  orientations: mounting,
  carries: carried,
  wishes: carried,
  order: carried,
  labelledFor: carried,
  port: named(({ unit }) => unit.traits.ports),
  servo: named(({ airframe }) => airframe.servos),
  drives: named(({ airframe }) => [...airframe.servos, ...airframe.motors]),
  shape: named(({ program }) => program.shapes),
  link: named(({ transmitter }) => transmitter.linkVariants),
};

/** Whether a field is said as one thing: a condition, or what a line follows. */
export const isOneThing = (field: string, value: Json | undefined): boolean =>
  isObject(value) &&
  (field === 'follows' || (SAYS[field] === condition && typeof value.kind === 'string'));

/**
 * A value in words.
 * @param setup the one it stands in, for the names of what it reads @param field its name in the format
 */
export function valueWords(
  setup: Setup,
  field: string,
  value: Json | undefined,
  unit = '',
): string {
  if (value === undefined || value === null) return 'nothing';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'number') return `${printed(value)}${unit}`;
  const said = Array.isArray(value) ? undefined : SAYS[field]?.(setup, value);
  if (said !== undefined) return said;
  if (typeof value === 'string') return value === '' ? 'nothing' : value.replace(/-/g, ' ');
  if (Array.isArray(value))
    return value.every((v) => !isObject(v) && !Array.isArray(v))
      ? value.map((v: Json) => valueWords(setup, field, v, unit)).join(', ') || 'nothing'
      : `${value.length} entries`;
  return Object.entries(value as { readonly [key: string]: Json })
    .filter(([k]) => k !== 'id' && k !== 'owner' && k !== 'label')
    .map(([k, v]) => {
      const { words, unit: own } = fieldWords(k);
      return `${words} ${valueWords(setup, k, v, own)}`;
    })
    .join(', ');
}

/**
 * A member of a list as one sentence, as the sheet has it.
 * @param list name of the list in the format
 */
export function memberWords(setup: Setup, list: string, member: Json): string {
  if (list === 'lines') return lineWords(setup, member as unknown as Line, false);
  if (list === 'aside' && isObject(member))
    return lineWords(setup, member.line as unknown as Line, false);
  if (list === 'logic') return logicWords(setup, member as unknown as Logic);
  return valueWords(setup, list, member);
}
