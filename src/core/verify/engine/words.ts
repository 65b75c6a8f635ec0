import type { Table } from '../explore';
import type { Facts } from './facts';
import type { State } from './states';

/** A state in words: its switches and what stands out, and what is remembered. */
export function stateWords(facts: Facts, table: Table, { cell, hands }: State): string {
  const { setup } = facts;
  const words = table.cone.controls.flatMap((at) => {
    const control = setup.transmitter.controls[at]!;
    if (facts.isContinuous(at)) return [];
    const idle = control.kind === 'momentary' && hands[at] === control.rest;
    return idle ? [] : [facts.stands(at, hands[at]!)];
  });
  const remembered = setup.program.logic.flatMap((entry, i) =>
    table.entries.includes(i) && cell.truth[i] === 1 ? [entry.label] : [],
  );
  return [...words, ...remembered].join(', ') || 'everything at rest';
}
