import type { Chain, Frame, Memory, Stimulus } from '../../chain';
import type { Cone } from './cone';
import { outcomesOf, valuesOf } from './values';

/** Something a person does: move one control, or wait. */
export type Move = { control: number; value: number } | { waitS: number };

/** One reachable state of the part of the program that matters. */
export interface Reached {
  /** All controls; those outside of the cone at rest. */
  controls: Float64Array;
  /** What latches, delays, edges and counters remember, as the chain keeps it. */
  logic: Float64Array;
  /** How it was reached: the state before, and the move; undefined for the first. */
  from: { state: Reached; move: Move } | undefined;
}

export interface Space {
  states: Reached[];
  /** Combinations of everything, had nothing been left out: for telling what the reduction did. */
  unreduced: number;
  /** States the cone spans at most; what is visited is what can be reached of them. */
  spanned: number;
  /** Too many to finish: nothing is claimed. */
  complete: boolean;
}

export interface ExploreOptions {
  /** Stop beyond this many states and say that it is not complete. */
  limit?: number;
  /** Called now and then; returning false gives up. */
  onProgress?: (states: number) => boolean;
}

export const DEFAULT_LIMIT = 400_000;

/** Two numbers of memory tell the states of an entry apart; only these operations have any. */
const WITH_MEMORY = new Set(['latch', 'edge', 'delay', 'toggles']);

/**
 * Visits every reachable state: all values of the controls in the cone, and with them every state of
 * latches, delays, edges and counters that some order of moves and waits can bring about. Moves take
 * no time; waits are as long as the program's own delays and windows, so that a delay is seen both
 * running and run out. Exact under those two conditions, never sampled.
 */
export function explore(chain: Chain, cone: Cone, options: ExploreOptions = {}): Space {
  const { setup } = chain;
  const { limit = DEFAULT_LIMIT, onProgress } = options;
  const values = cone.controls.map((at) =>
    cone.compared.includes(at) ? outcomesOf(chain, at) : valuesOf(setup, at),
  );
  const unreduced = unreducedCount(setup);
  const remembering = cone.logic.filter((i) => WITH_MEMORY.has(setup.program.logic[i]!.op));
  const spanned =
    values.reduce((n, v) => n * v.length, 1) *
    remembering.reduce((n, i) => n * statesOfEntry(setup.program.logic[i]!), 1);
  const stimulus = chain.restStimulus();
  const frame = chain.newFrame();
  const states: Reached[] = [];

  if (remembering.length === 0) {
    // Nothing remembers: the states are the product, each reached by setting the controls.
    const total = values.reduce((n, v) => n * v.length, 1);
    if (total > limit) return { states, unreduced, spanned, complete: false };
    const { logic } = chain.newMemory();
    const digits = values.map(() => 0);
    for (let n = 0; n < total; n++) {
      const controls = stimulus.controls.slice();
      cone.controls.forEach((at, i) => {
        controls[at] = values[i]![digits[i]!]!;
      });
      states.push({ controls, logic, from: undefined });
      for (let i = digits.length - 1; i >= 0 && ++digits[i]! >= values[i]!.length; i--)
        digits[i] = 0;
    }
    return { states, unreduced, spanned, complete: true };
  }

  const waits = waitsOf(chain, remembering);
  const known = new Set<string>();
  const memory = chain.newMemory();
  const keyOf = () => {
    let key = '';
    for (const at of cone.controls) key += `${stimulus.controls[at]},`;
    for (const i of remembering)
      key += `${memory.logic[i * 2]},${Math.round(memory.logic[i * 2 + 1]! * 1000)};`;
    return key;
  };
  /** Keeps the state that stimulus and memory stand in, if it is a new one. */
  const visit = (from: Reached['from']): void => {
    const key = keyOf();
    if (known.has(key)) return;
    known.add(key);
    states.push({ controls: stimulus.controls.slice(), logic: memory.logic.slice(), from });
  };
  stimulus.dtS = 0;
  recall(memory, memory.logic.slice());
  chain.step(stimulus, memory, frame);
  visit(undefined);

  for (let n = 0; n < states.length; n++) {
    if (states.length > limit) return { states, unreduced, spanned, complete: false };
    if (n % 1024 === 0 && onProgress && !onProgress(states.length))
      return { states, unreduced, spanned, complete: false };
    const state = states[n]!;
    const go = (move: Move) => {
      apply(chain, state, move, stimulus, memory, frame);
      visit({ state, move });
    };
    cone.controls.forEach((at, i) => {
      for (const value of values[i]!) if (value !== state.controls[at]) go({ control: at, value });
    });
    for (const waitS of waits) go({ waitS });
  }
  return { states, unreduced, spanned, complete: true };
}

/** Memory of a unit in use, armed and at peace, with what the program's logic remembers. */
export function recall(memory: Memory, logic: Float64Array): void {
  memory.logic.set(logic);
  memory.lastReceivedUs.fill(NaN);
  memory.lastPortsUs.fill(NaN);
  memory.holdErrorDeg.fill(0);
  memory.lastGainUs = NaN;
  memory.armed = true;
  memory.recoveryHeldS = 0;
}

/** Does a move in a state: stimulus, memory and frame come to stand after it. The state stays. */
export function apply(
  chain: Chain,
  state: Pick<Reached, 'controls' | 'logic'>,
  move: Move,
  stimulus: Stimulus,
  memory: Memory,
  frame: Frame,
): void {
  recall(memory, state.logic);
  stimulus.controls.set(state.controls);
  stimulus.linkUp = true;
  if ('control' in move) stimulus.controls[move.control] = move.value;
  stimulus.dtS = 'waitS' in move ? move.waitS : 0;
  chain.step(stimulus, memory, frame);
}

function statesOfEntry(entry: { op: string; count?: number }): number {
  return entry.op === 'toggles' ? 2 * (entry.count ?? 1) : 2;
}

/** Every time after which something in the program may change by itself. */
function waitsOf(chain: Chain, remembering: readonly number[]): number[] {
  const times = remembering.flatMap((i) => {
    const entry = chain.setup.program.logic[i]!;
    if (entry.op === 'delay') return [entry.onS, entry.offS];
    // Beyond its window a counter starts again.
    if (entry.op === 'toggles') return [entry.withinS + 0.001];
    return [];
  });
  return [...new Set(times)].filter((t) => t > 0).toSorted((a, b) => a - b);
}

/** All switch positions, knob and stick ends and middles, all memory, link up and down. */
export function unreducedCount(setup: Chain['setup']): number {
  const controls = setup.transmitter.controls.reduce(
    (n, c, i) => (c.kind === 'trim' ? n : n * valuesOf(setup, i).length),
    1,
  );
  const memory = setup.program.logic.reduce(
    (n, l) => (WITH_MEMORY.has(l.op) ? n * statesOfEntry(l) : n),
    1,
  );
  return controls * memory * 2;
}

/** What to do from rest to stand in a state: only what is away from rest, or the order that leads there. */
export function pathTo(chain: Chain, state: Reached): Move[] {
  if (!state.from) {
    const rest = chain.restStimulus().controls;
    return [...state.controls].flatMap((value, control) =>
      value === rest[control] ? [] : [{ control, value }],
    );
  }
  const moves: Move[] = [];
  for (let s: Reached = state; s.from; s = s.from.state) moves.unshift(s.from.move);
  return moves;
}
