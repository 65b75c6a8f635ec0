import { workOrder } from '../../chain';
import {
  allReads,
  nameOfWorked,
  type Control,
  type Read,
  type Setup,
  type Worked,
} from '../../setup';

/** Everything that can affect some channels or logic: the rest need not be multiplied. */
export interface Cone {
  /** Positions in the transmitter's control list, trims among them. */
  controls: readonly number[];
  /** Positions in the program's lists. */
  logic: readonly number[];
  variables: readonly number[];
  /** What is worked out, in the order of work. */
  order: readonly Worked[];
}

/** Controls that stand somewhere between their ends; the others have positions. */
const BETWEEN = new Set(['stick', 'knob', 'slider', 'trim']);
export const isContinuous = (setup: Setup, at: number): boolean =>
  BETWEEN.has(setup.transmitter.controls[at]!.kind);

/** Cones of a program that were asked for, by where they start. */
interface Known {
  controls: readonly Control[];
  cones: Map<string, Cone>;
}

const known = new WeakMap<Setup['program'], Known>();

/** Follows reads back to the controls; once for each program: Setups are immutable. */
export function coneOfReads(setup: Setup, from: readonly Read[]): Cone {
  const { controls } = setup.transmitter;
  const found = known.get(setup.program);
  const own = found?.controls === controls ? found : { controls, cones: new Map<string, Cone>() };
  known.set(setup.program, own);
  const key = from.map((read) => JSON.stringify(read)).join();
  const cone = own.cones.get(key) ?? followed(setup, from);
  own.cones.set(key, cone);
  return cone;
}

function followed({ program, transmitter }: Setup, from: readonly Read[]): Cone {
  const reads = allReads(program, from);
  const named = (kind: 'control' | 'logic' | 'variable') =>
    new Set(reads.flatMap((r) => (r.kind === kind ? [r.id] : [])));
  const at = (list: readonly { id: string }[], ids: ReadonlySet<string>) =>
    list.flatMap(({ id }, i) => (ids.has(id) ? [i] : []));
  const worked = new Set(
    reads.flatMap((r) => (r.kind === 'control' || r.kind === 'shape' ? [] : [nameOfWorked(r)])),
  );
  return {
    controls: at(transmitter.controls, named('control')),
    logic: at(program.logic, named('logic')),
    variables: at(program.variables, named('variable')),
    order: workOrder(program).filter((of) => worked.has(nameOfWorked(of))),
  };
}

/** Everything that can affect channels. @param channels 1-based */
export const coneOf = (setup: Setup, channels: readonly number[]): Cone =>
  coneOfReads(
    setup,
    channels.map((channel): Read => ({ kind: 'channel', channel, path: [] })),
  );

/**
 * The entries a cone is made of, with the places of those that are known by place: two Setups with
 * the same part behave alike in it.
 */
export function partOfProgram({ program }: Setup, cone: Cone): unknown[] {
  const has = new Set(cone.order.map(nameOfWorked));
  const lines = program.lines.filter((l) =>
    has.has(nameOfWorked({ kind: 'channel', channel: l.channel })),
  );
  return [
    cone,
    lines,
    program.shapes.filter((c) => lines.some((l) => l.shape === c.id)),
    program.inputs.filter(({ id }) => has.has(nameOfWorked({ kind: 'input', id }))),
    cone.logic.map((i) => program.logic[i]),
    cone.variables.map((i) => program.variables[i]),
    program.logic.length,
  ];
}

/** Controls a hand is asked to place for a channel: all that reach it, trims aside. */
export const handsOn = (setup: Setup, channel: number): Control[] =>
  coneOf(setup, [channel])
    .controls.map((at) => setup.transmitter.controls[at]!)
    .filter((c) => c.kind !== 'trim');

/** Two numbers of memory tell the states of an entry apart; only these operations have any. */
const REMEMBERING = new Set(['latch', 'edge', 'delay', 'toggles']);
export const remembers = (setup: Setup, logic: number): boolean =>
  REMEMBERING.has(setup.program.logic[logic]!.op);
