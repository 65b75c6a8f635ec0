import { compileChain } from '../../chain';
import { parseSetup, type ProgramWishes, type Setup, type WishId } from '../../setup';
import { LISTS } from './draft';
import { differs } from './differs';
import { modesAt } from './modes';
import { rewrite } from './write';

type Value = NonNullable<ProgramWishes[keyof ProgramWishes]>;
type Path = readonly (string | number)[];

/** Tried at most: whoever is further off chooses again. */
const MOST_TRIED = 160;

/**
 * The choice that says what the program does, close to one that does not: another control, another
 * value, another order. Every try is asked of the chain.
 * @returns the Setup with that choice, its program untouched; undefined where none is found
 */
export function nearest(setup: Setup, wish: Exclude<WishId, 'sticks'>): Setup | undefined {
  const value = setup.intents.program[wish];
  if (value === undefined) return undefined;
  let tried = 0;
  for (const other of others(setup, wish, value)) {
    if (++tried > MOST_TRIED) return undefined;
    const read = parseSetup({
      ...setup,
      intents: { ...setup.intents, program: { ...setup.intents.program, [wish]: other } },
    });
    if (!read.ok) continue;
    if (differs(read.value, wish) === undefined) return read.value;
  }
  return undefined;
}

/** Values of a choice that differ from it in one thing. */
function* others(setup: Setup, wish: WishId, value: Value): Generator<unknown> {
  const { modes } = setup.intents.program;
  if (wish === 'modes' && modes)
    yield { ...modes, table: modesAt(compileChain(setup), modes.switches).map((c) => c.mode) };
  const own = setup.unit.settings.failsafe;
  if (wish === 'failsafe' && own)
    yield { ...(value as object), pitchDeg: own.pitchDeg, rollDeg: own.rollDeg };
  const leaves = leavesOf(value);
  for (const { path, list } of listsOf(value))
    for (const order of ordersOf(list)) yield replaced(value, path, order);
  const controls = setup.transmitter.controls.map((c) => c.id);
  const used = usedBy(setup, wish);
  for (const { path, leaf } of leaves)
    if (typeof leaf === 'string' && controls.includes(leaf))
      for (const id of used.controls) if (id !== leaf) yield replaced(value, path, id);
  for (const { path, leaf } of leaves)
    if (typeof leaf === 'number')
      for (const n of used.numbers) if (n !== leaf) yield replaced(value, path, n);
}

const entriesOf = (value: unknown): [string | number, unknown][] =>
  Array.isArray(value)
    ? value.map((v, i) => [i, v])
    : value && typeof value === 'object'
      ? Object.entries(value)
      : [];

function leavesOf(value: unknown, path: Path = []): { path: Path; leaf: unknown }[] {
  const inner = entriesOf(value);
  return inner.length === 0
    ? [{ path, leaf: value }]
    : inner.flatMap(([key, v]) => leavesOf(v, [...path, key]));
}

function listsOf(value: unknown, path: Path = []): { path: Path; list: unknown[] }[] {
  return [
    ...(Array.isArray(value) ? [{ path, list: value as unknown[] }] : []),
    ...entriesOf(value).flatMap(([key, v]) => listsOf(v, [...path, key])),
  ];
}

/** Every other order of a short list. */
function ordersOf(list: readonly unknown[]): unknown[][] {
  if (list.length < 2 || list.length > 3) return [];
  const [a, b, c] = list;
  return list.length === 2
    ? [[b, a]]
    : [
        [c, b, a],
        [b, a, c],
        [a, c, b],
        [b, c, a],
        [c, a, b],
      ];
}

function replaced(value: unknown, [key, ...rest]: Path, by: unknown): unknown {
  if (key === undefined) return by;
  const inner = replaced((value as Record<string | number, unknown>)[key], rest, by);
  return Array.isArray(value)
    ? value.with(key as number, inner)
    : { ...(value as object), [key]: inner };
}

/**
 * Controls and numbers that stand in the entries of a choice, whoever owns them by now, and the numbers
 * they may stand for.
 */
function usedBy(
  { program, transmitter, ...setup }: Setup,
  wish: WishId,
): { controls: string[]; numbers: number[] } {
  const written = rewrite({ program, transmitter, ...setup }, wish, true).setup.program;
  const nameOf = (e: object) => ('id' in e ? e.id : undefined);
  const names = new Set(
    LISTS.flatMap((list) => written[list].flatMap((e) => (e.owner === wish ? [nameOf(e)] : []))),
  );
  const entries = LISTS.flatMap((list) =>
    program[list].filter((e) => e.owner === wish || names.has(nameOf(e))),
  );
  const leaves = leavesOf(entries).map((l) => l.leaf);
  const ids = new Set(leaves);
  const own = leavesOf(setup.intents.program[wish as keyof ProgramWishes])
    .map((l) => l.leaf)
    .filter((n) => typeof n === 'number');
  const said = leaves.filter((n) => typeof n === 'number').flatMap((n) => [n, n / 60]);
  // A gain of 60 % stands in a line as +20, a switch position as its number from zero; a value that
  // was worked back through the chain lies a step beside.
  const meant = said
    .flatMap((n) => [n, -n, (n + 100) / 2, (100 - n) / 2])
    .flatMap((n) => [n, n - 1, n - 0.5, n + 0.5, n + 1]);
  return {
    controls: transmitter.controls.flatMap(({ id }) => (ids.has(id) ? [id] : [])),
    // A whole number is likelier to be meant than a fraction.
    numbers: [...new Set([...own, ...meant])]
      .filter((n) => n >= 0)
      .toSorted((a, b) => Number(Number.isInteger(b)) - Number(Number.isInteger(a))),
  };
}
