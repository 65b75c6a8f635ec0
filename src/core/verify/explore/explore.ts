import { copyMemory, type Chain, type Frame, type Memory, type Stimulus } from '../../chain';
import type { Cone } from './cone';
import { outcomesOf, valuesOf } from './values';

/** Something a person does: move one control, or wait. */
export type Move = { control: number; value: number } | { waitS: number };

/** One reachable state of the part of the program that matters. */
export interface Reached {
  /** All controls; those outside of the cone at rest. */
  controls: Float64Array;
  memory: Memory;
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
    cone.compared.includes(at) ? outcomesOf(setup, at) : valuesOf(setup, at),
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
    const memory = chain.newMemory();
    memory.armed = true;
    const digits = values.map(() => 0);
    for (let n = 0; n < total; n++) {
      const controls = stimulus.controls.slice();
      cone.controls.forEach((at, i) => {
        controls[at] = values[i]![digits[i]!]!;
      });
      states.push({ controls, memory, from: undefined });
      for (let i = digits.length - 1; i >= 0 && ++digits[i]! >= values[i]!.length; i--)
        digits[i] = 0;
    }
    return { states, unreduced, spanned, complete: true };
  }

  const waits = waitsOf(chain, remembering);
  const known = new Map<string, true>();
  const keyOf = (controls: Float64Array, memory: Memory) => {
    let key = '';
    for (const at of cone.controls) key += `${controls[at]},`;
    for (const i of remembering)
      key += `${memory.logic[i * 2]},${Math.round(memory.logic[i * 2 + 1]! * 1000)};`;
    return key;
  };
  const visit = (controls: Float64Array, memory: Memory, from: Reached['from']): void => {
    const key = keyOf(controls, memory);
    if (known.has(key)) return;
    known.set(key, true);
    states.push({ controls, memory, from });
  };
  const first = chain.newMemory();
  first.armed = true;
  stimulus.dtS = 0;
  chain.step(stimulus, first, frame);
  visit(stimulus.controls.slice(), first, undefined);

  for (let n = 0; n < states.length; n++) {
    if (states.length > limit) return { states, unreduced, spanned, complete: false };
    if (n % 1024 === 0 && onProgress && !onProgress(states.length))
      return { states, unreduced, spanned, complete: false };
    const state = states[n]!;
    const go = (move: Move) => {
      const next = apply(chain, state, move, stimulus, frame);
      visit(next.controls, next.memory, { state, move });
    };
    cone.controls.forEach((at, i) => {
      for (const value of values[i]!) if (value !== state.controls[at]) go({ control: at, value });
    });
    for (const waitS of waits) go({ waitS });
  }
  return { states, unreduced, spanned, complete: true };
}

/** The state after a move. Neither the state nor its memory is changed. */
export function apply(
  chain: Chain,
  state: Pick<Reached, 'controls' | 'memory'>,
  move: Move,
  stimulus: Stimulus,
  frame: Frame,
): { controls: Float64Array; memory: Memory } {
  const controls = state.controls.slice();
  const memory = copyMemory(state.memory);
  if ('control' in move) controls[move.control] = move.value;
  stimulus.controls.set(controls);
  stimulus.dtS = 'waitS' in move ? move.waitS : 0;
  chain.step(stimulus, memory, frame);
  // How long recovery was held is asked for apart; the fields of the unit do not tell states apart.
  memory.recoveryHeldS = 0;
  return { controls, memory };
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
