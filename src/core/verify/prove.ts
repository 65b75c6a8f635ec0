import type { Setup } from '../setup';
import { decide, factsOf } from './engine';
import { isContinuous, listening, remembers } from './explore';
import type { Proof, ProofOptions, Result } from './proof';
import { outcomesOf, type Looked } from './outcomes';
import { REQUIREMENTS, type Requirement } from './requirements';
import type { RequirementId } from './requirements/ids';
import { ordersTable, rowsOf } from './rows';

/** Holds every requirement against a Setup. */
export function prove(setup: Setup, options: ProofOptions = {}): Proof {
  const heard = listening(options.onProgress);
  const facts = factsOf(setup);
  const heeded = { ...options, ...heard.options };
  const looked = lookedAt(setup, REQUIREMENTS, { ...heeded, gaveUp: heard.gaveUp });
  const results = looked.map(({ result }) => result);
  const orders = ordersTable(facts, heeded);
  const off = looked.find(({ result }) => result.id === 'master-off')?.outcome.holds['off'] ?? [];
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

/** Whether a requirement is proven, and what that rests on, as bits of `RESTS_ON`. */
export interface Came {
  proven: boolean;
  restsOn: number;
}

/** What some requirements come to, and nothing else: where only verdicts are compared. */
export function cameTo(
  setup: Setup,
  requirements: readonly Requirement[],
  options: ProofOptions = {},
): Map<RequirementId, Came> {
  const heard = listening(options.onProgress);
  const heeded = { ...options, ...heard.options, gaveUp: heard.gaveUp };
  return new Map(
    lookedAt(setup, requirements, heeded).map(({ result, outcome: { restsOn } }) => [
      result.id,
      { proven: result.failures.length === 0 && result.leftOut.length === 0, restsOn },
    ]),
  );
}

function lookedAt(
  setup: Setup,
  requirements: readonly Requirement[],
  options: ProofOptions & { gaveUp: () => boolean },
): { result: Result; outcome: Looked }[] {
  const facts = factsOf(setup);
  const applying = requirements.filter((r) => r.applies(setup));
  const outcomes = outcomesOf(facts, applying, options.limit, (claims) => ({
    verdicts: decide(facts, claims, options),
    gaveUp: options.gaveUp(),
  }));
  return applying.flatMap(({ id, title, must, from }, i) => {
    const outcome = outcomes[i];
    if (!outcome) return [];
    const { failures, states, leftOut } = outcome;
    return [{ result: { id, title, must, from, failures, states, leftOut }, outcome }];
  });
}

/** All positions of switches, ends and middles of everything else, all memory, signal there and lost. */
export function unreducedCount(setup: Setup): number {
  const controls = setup.transmitter.controls.reduce(
    (n, c, at) => n * (isContinuous(setup, at) ? 3 : c.kind === 'switch-3' ? 3 : 2),
    1,
  );
  return setup.program.logic.reduce((n, _, i) => (remembers(setup, i) ? n * 2 : n), controls * 2);
}
