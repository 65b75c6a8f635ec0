import type { Setup } from '../setup';
import { decide, factsOf } from './engine';
import { isContinuous, listening, remembers } from './explore';
import type { Proof, ProofOptions, Result } from './proof';
import { outcomesOf } from './outcomes';
import { REQUIREMENTS } from './requirements';
import { ordersTable, rowsOf } from './rows';

/** Holds every requirement against a Setup. */
export function prove(setup: Setup, options: ProofOptions = {}): Proof {
  const heard = listening(options.onProgress);
  const facts = factsOf(setup);
  const heeded = { ...options, ...heard.options };
  const applying = REQUIREMENTS.filter((r) => r.applies(setup));
  const outcomes = outcomesOf(facts, applying, options.limit, (claims) => ({
    verdicts: decide(facts, claims, heeded),
    gaveUp: heard.gaveUp(),
  }));
  const results = applying.flatMap(({ id, title, must, from }, i): Result[] => {
    const outcome = outcomes[i];
    if (!outcome) return [];
    const { failures, states, leftOut } = outcome;
    return [{ id, title, must, from, failures, states, leftOut }];
  });
  const orders = ordersTable(facts, heeded);
  const off = outcomes[applying.findIndex((r) => r.id === 'master-off')]?.holds['off'] ?? [];
  return {
    results,
    rows: rowsOf(facts, orders),
    controls: orders.cone.controls.map((at) => setup.transmitter.controls[at]!.id),
    visited: orders.cells.length,
    unreduced: unreducedCount(setup),
    complete: orders.tooLarge === undefined && results.every((r) => r.leftOut.length === 0),
    panic: facts.panic,
    masterOff: off.map((position) => {
      const [control, value] = position.split(' ');
      return { control: control!, value: Number(value) };
    }),
  };
}

/** All positions of switches, ends and middles of everything else, all memory, signal there and lost. */
export function unreducedCount(setup: Setup): number {
  const controls = setup.transmitter.controls.reduce(
    (n, c, at) => n * (isContinuous(setup, at) ? 3 : c.kind === 'switch-3' ? 3 : 2),
    1,
  );
  return setup.program.logic.reduce((n, _, i) => (remembers(setup, i) ? n * 2 : n), controls * 2);
}
