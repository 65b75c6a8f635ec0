import { compileChain, outputOf, type Chain } from '../../chain';
import type { Setup } from '../../setup';
import type { Cone } from './cone';
import type { Watch } from './ranges';
import { tableOf, type Table, type TableOptions } from './table';

const chains = new WeakMap<Setup, Chain>();

/** The chain of a Setup, compiled once: Setups are immutable. */
export function chainOf(setup: Setup): Chain {
  const found = chains.get(setup) ?? compileChain(setup);
  chains.set(setup, found);
  return found;
}

const MOST_KEPT = 96;
const kept = new Map<string, Table>();

/**
 * Everything a table is made of: an edit that touches none of it cannot change the table, and the one
 * that is there is taken.
 */
function madeOf(setup: Setup, cone: Cone, watch: readonly Watch[], options: TableOptions): string {
  const { program, transmitter } = setup;
  const channels = new Set(cone.order.flatMap((w) => (w.kind === 'channel' ? [w.channel] : [])));
  const inputs = new Set(cone.order.flatMap((w) => (w.kind === 'input' ? [w.id] : [])));
  const lines = program.lines.filter((l) => channels.has(l.channel));
  const curves = new Set(lines.map((l) => l.curve));
  return JSON.stringify([
    cone,
    cone.controls.map((at) => transmitter.controls[at]),
    transmitter.controls.length,
    cone.logic.map((i) => program.logic[i]),
    cone.variables.map((i) => program.variables[i]),
    program.inputs.map((input, i) => (inputs.has(input.id) ? [i, input] : 0)),
    lines.map(({ label: _, purpose: __, ...line }) => line),
    program.curves.filter((c) => curves.has(c.id)),
    watch,
    watch.map((w) => outputOf(setup, w.at + 1)),
    transmitter.pulse,
    transmitter.channels,
    program.logic.length,
    options.limit,
    [...(options.within ?? [])],
    options.alsoAsked,
  ]);
}

/** A table of a part of a program; one that is known is not worked out again. */
export function keptTable(
  setup: Setup,
  cone: Cone,
  watch: readonly Watch[],
  options: TableOptions = {},
): Table {
  const key = madeOf(setup, cone, watch, options);
  const found = kept.get(key);
  if (found) {
    kept.delete(key);
    kept.set(key, found);
    return found;
  }
  let ended = false;
  const table = tableOf(chainOf(setup), cone, watch, {
    ...options,
    ...(options.onProgress
      ? {
          onProgress: (n: number) => {
            ended = options.onProgress!(n) === false;
            return !ended;
          },
        }
      : {}),
  });
  // One that was ended says nothing: the next to ask works it out.
  if (!ended) kept.set(key, table);
  if (kept.size > MOST_KEPT) kept.delete(kept.keys().next().value!);
  return table;
}
