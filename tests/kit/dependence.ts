import { allExpectations, crossExpectations, predictAll } from '@/core/directions';
import { TESTS, stamp, staleReasons, type Evidence } from '@/core/logbook';
import { applyPatch, type PatchOperation } from '@/core/patch';
import { stepOf } from '@/core/procedure';
import { parseSetup, setupJsonSchema, type Setup } from '@/core/setup';
import { readBacksOf } from '@/core/sheets';

/*
 * Which field of the Setup stales which evidence, found by changing every field the schema has and
 * looking: nothing about it is written down by hand.
 */

interface JsonSchema {
  type?: string;
  enum?: unknown[];
  const?: unknown;
  $ref?: string;
  $defs?: Record<string, JsonSchema>;
  properties?: Record<string, JsonSchema>;
  required?: string[];
  items?: JsonSchema;
  anyOf?: JsonSchema[];
  oneOf?: JsonSchema[];
}

/** Every leaf of the schema: its path with * for each place in a list, and the values it may name. */
export function fieldsOf(): Map<string, unknown[]> {
  const root = setupJsonSchema() as JsonSchema;
  const fields = new Map<string, unknown[]>();
  const walk = (schema: JsonSchema, path: string, within: readonly string[]): void => {
    if (schema.$ref) {
      // A condition inside a condition has the same fields again.
      if (within.includes(schema.$ref)) return;
      return walk(root.$defs![schema.$ref.split('/').at(-1)!]!, path, [...within, schema.$ref]);
    }
    const choices = schema.anyOf ?? schema.oneOf;
    if (choices) return choices.forEach((c) => walk(c, path, within));
    if (schema.properties)
      return Object.entries(schema.properties).forEach(([key, value]) =>
        walk(value, `${path}/${key}`, within),
      );
    if (schema.items) return walk(schema.items, `${path}/*`, within);
    const values = schema.enum ?? (schema.const === undefined ? [] : [schema.const]);
    fields.set(path, [...(fields.get(path) ?? []), ...values]);
  };
  walk(root, '', []);
  return fields;
}

/** Places of a field in one document. */
function placesOf(document: unknown, path: string): { pointer: string; value: unknown }[] {
  let found: { pointer: string; value: unknown }[] = [{ pointer: '', value: document }];
  for (const key of path.split('/').slice(1))
    found = found.flatMap(({ pointer, value }) => {
      if (typeof value !== 'object' || value === null) return [];
      if (key === '*')
        return Array.isArray(value)
          ? value.map((v: unknown, i) => ({ pointer: `${pointer}/${i}`, value: v }))
          : [];
      return Object.hasOwn(value, key)
        ? [{ pointer: `${pointer}/${key}`, value: (value as Record<string, unknown>)[key] }]
        : [];
    });
  return found;
}

/** Every id in a document: what a reference could point at instead. */
function idsOf(value: unknown): string[] {
  if (Array.isArray(value)) return value.flatMap(idsOf);
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, v]) =>
    key === 'id' && typeof v === 'string' ? [v] : idsOf(v),
  );
}

/** Other values a field could have: those it names, those of its neighbours, the next number. */
function othersFor(value: unknown, named: readonly unknown[], seen: readonly unknown[]): unknown[] {
  const list =
    typeof value === 'boolean'
      ? [!value]
      : typeof value === 'number'
        ? [...named, value + 1, value - 1, value + 10, value - 10, value + 0.5, value / 2]
        : [`${String(value)}-x`, ...named, ...seen];
  return [...new Set(list)].filter((v) => typeof v === typeof value && v !== value);
}

/** What must be seen, by name of the evidence: what the chain says now. */
function answersOf(setup: Setup): Map<string, string> {
  const predictions = predictAll(setup);
  return new Map([
    ...[...allExpectations(setup), ...crossExpectations(setup)].map(
      ({ check, surface }): [string, string] => [
        `${check.id} ${surface.id}`,
        `${check.instruction}: ${predictions.get(check.id)!.get(surface.id)!.movement}`,
      ],
    ),
    ...readBacksOf(setup).map((r): [string, string] => [
      `read:${r.id} ch${r.channel}`,
      `${JSON.stringify(Object.entries(r.hands).sort())} ${Math.round(r.predictedPct)}`,
    ]),
    ...Object.values(TESTS)
      .flatMap(({ script }) => script(setup))
      .map((s): [string, string] => [`test:${s.test} ${s.item}`, `${s.does} ${s.sees.join('; ')}`]),
  ]);
}

/** Why some fields stale nothing. A field that stales nothing and stands under none of these is a hole. */
export const UNREAD: readonly (readonly [under: RegExp, why: string])[] = [
  [/^\/(format|version)$/, 'always the same'],
  [/(^|\/)(name|notes|description|label|say)$/, 'a name or a note: another name is the same thing'],
  [
    /^\/unit\/(shipped|leaflet|notes)\//,
    'what it came with, what its leaflet calls it, what one is reminded of',
  ],
  [/^\/unit\/grounds\//, 'what a line of the description stands on: not what it says'],
  [/^\/transmitter\/menu\//, 'what its menus are called'],
  [/^\/airframe\/assumed/, 'whether a measure was taken yet: what it is is read'],
  [
    /^\/transmitter\/stickMode$/,
    'how the sticks are drawn: which stick works what is said by each',
  ],
  [/^\/program\/aside\//, 'lines that are switched off do nothing'],
  [/^\/program\/lines\/\*\/note$/, 'why a line is there: what it does is read'],
  [/^\/program\/.*\/owner$/, 'who wrote an entry: what it says is the same'],
  [
    /^\/transmitter\/stepPct$/,
    'how finely numbers are worked out: the numbers are what evidence reads',
  ],
  [/^\/program\/lines\/\*\/id$/, 'nothing refers to a line by its id'],
  [/^\/airframe\/measures\/lengthMm$/, 'for the drawing'],
  [
    /^\/airframe\/(surfaces|motors)\/\*\/place\//,
    'where a part is decides what it must do, not what it was seen to do',
  ],
  [
    /^\/airframe\/measures\/(glideRatio|trackMm)$/,
    'for planning figures that nothing is proven by',
  ],
  [/^\/transmitter\/(style|controls\/\*\/at\/[xy])$/, 'how a page looks, not what the model does'],
  [/^\/intents\//, 'a wish or a preference: what is written from it is what evidence reads'],
];

/** Fields that name or choose what the rest of an entry is: none can change by itself and stay valid. */
export const NAMES = /\/(id|kind|op|by|format|version)$/;

const row = (cells: string[]) => `| ${cells.join(' | ')} |`;

/** A field with what it stales, or why it stales nothing, as the page has it. */
export function dependenceRow({ path, tried, stales }: Dependence): string {
  const why =
    tried === 0 && NAMES.test(path)
      ? 'none: names or chooses what the rest of the entry is, never changes alone'
      : `none: ${UNREAD.find(([under]) => under.test(path))?.[1] ?? 'NOBODY READS IT'}`;
  return row([`\`${path}\``, stales.length > 0 ? stales.join(', ') : why]);
}

/** The table as a page. */
export function dependencePage(found: readonly Dependence[]): string {
  return `${[
    '# What a change stales',
    '',
    'Every field of the Setup schema, and the steps of the job that go stale when it alone changes.',
    'Made by changing each of them in sample Setups and looking (`npm run evidence-table`); a test',
    'keeps this page equal to what is found, and fails on a field that nothing reads without a reason,',
    'and on evidence that still counts although the chain says something else.',
    '',
    row(['field', 'stales']),
    row(['---', '---']),
    ...found.map(dependenceRow),
  ].join('\n')}\n`;
}

/** A Setup and everything that can be seen on it, seen. */
export interface Sample {
  setup: Setup;
  evidence: Evidence[];
  answers: ReadonlyMap<string, string>;
}

export function sampleOf(setup: Setup): Sample {
  const answers = answersOf(setup);
  const evidence = [...answers.keys()].map((name): Evidence => {
    const [check, surface] = name.split(' ') as [string, string];
    const subject = { check, surface };
    return { ...subject, seen: 'pass', parts: stamp(setup, subject), version: 1, at: '' };
  });
  return { setup, evidence, answers };
}

/** What changing a field did, over all samples that have it. */
export interface Dependence {
  path: string;
  /** Places it was changed at, each to another valid value. */
  tried: number;
  /** Steps some evidence of which went stale. */
  stales: string[];
  /** Evidence that still counted although the chain now says something else. */
  missed: string[];
}

/** No more places of one field than this are changed; every one of a sample is alike. */
const MOST_PLACES = 2;

/** Changes fields of the schema, all of them unless some are named, in every sample that has them. */
export function dependences(
  samples: readonly Sample[],
  wanted: (path: string) => boolean = () => true,
): Dependence[] {
  const ids = new Map(samples.map((s) => [s, idsOf(s.setup)]));
  const fields = [...fieldsOf()].filter(([path]) => wanted(path));
  return fields.map(([path, named]) => {
    const stales = new Set<string>();
    const missed = new Set<string>();
    let tried = 0;
    for (const sample of samples) {
      const places = placesOf(sample.setup, path);
      const seen = [...places.map((p) => p.value), ...ids.get(sample)!];
      for (const { pointer, value } of places) {
        if (tried >= MOST_PLACES) break;
        const changed = firstValid(sample.setup, pointer, othersFor(value, named, seen));
        if (!changed) continue;
        tried += 1;
        look(sample, changed, pointer, stales, missed);
      }
    }
    return { path, tried, stales: [...stales].sort(), missed: [...missed] };
  });
}

function firstValid(setup: Setup, path: string, values: readonly unknown[]): Setup | undefined {
  for (const value of values) {
    const patch: PatchOperation[] = [{ op: 'replace', path, value }];
    const result = parseSetup(applyPatch(setup, patch));
    if (result.ok) return result.value;
  }
  return undefined;
}

function look(
  { evidence, answers }: Sample,
  changed: Setup,
  pointer: string,
  stales: Set<string>,
  missed: Set<string>,
): void {
  const now = answersOf(changed);
  for (const e of evidence) {
    const name = `${e.check} ${e.surface}`;
    if (!now.has(name)) continue;
    const stale = staleReasons(changed, e).length > 0;
    if (stale) stales.add(stepOf(e)!.id);
    else if (now.get(name) !== answers.get(name))
      missed.add(`${pointer}: ${name}: "${answers.get(name)}" is now "${now.get(name)}"`);
  }
}
