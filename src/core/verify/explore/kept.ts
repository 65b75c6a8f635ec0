import { compileChain, outputOf, type Chain } from '../../chain';
import type { Setup } from '../../setup';
import { partOfProgram, type Cone } from './cone';
import { listening, Newest } from './newest';
import type { Watch } from './ranges';
import { tableOf, type Table, type TableOptions } from './table';

const chains = new WeakMap<Setup, Chain>();

/** The chain of a Setup, compiled once: Setups are immutable. */
export function chainOf(setup: Setup): Chain {
  const found = chains.get(setup) ?? compileChain(setup);
  chains.set(setup, found);
  return found;
}

const tables = new Newest<Table>(96);

/**
 * Everything a table is made of: an edit that touches none of it cannot change the table, and the one
 * that is there is taken.
 */
const madeOf = (
  setup: Setup,
  cone: Cone,
  watch: readonly Watch[],
  { limit, before, now, alsoAsked }: TableOptions,
): string =>
  JSON.stringify([
    partOfProgram(setup, cone),
    cone.controls.map((at) => setup.transmitter.controls[at]),
    setup.transmitter.controls.length,
    watch,
    watch.map((w) => outputOf(setup, w.at + 1)),
    setup.transmitter.pulse,
    setup.transmitter.channels,
    [limit, [...(before ?? [])], [...(now ?? [])], alsoAsked],
  ]);

/** A table of a part of a program; one that is known is not worked out again. */
export function keptTable(
  setup: Setup,
  cone: Cone,
  watch: readonly Watch[],
  options: TableOptions = {},
): Table {
  const key = madeOf(setup, cone, watch, options);
  const found = tables.get(key);
  if (found) return found;
  const heard = listening(options.onProgress);
  const table = tableOf(chainOf(setup), cone, watch, { ...options, ...heard.options });
  if (!heard.gaveUp()) tables.put(key, table);
  return table;
}
