import { copyOf } from '../../json';
import { positionsOf, switchPosition } from '../../chain';
import { withWhatIsRead } from './hanging';
import type {
  ChannelFunction,
  Condition,
  ControlKind,
  Line,
  Logic,
  Program,
  Setup,
  Variable,
  WishId,
} from '../../setup';

/** What one choice writes, list by list. */
export type Entries = Pick<
  Program,
  'inputs' | 'logic' | 'shapes' | 'variables' | 'lines' | 'failsafe' | 'callouts' | 'timers'
>;

/** The lists of a program whose entries are written by wishes. */
export const LISTS = [
  'inputs',
  'logic',
  'shapes',
  'variables',
  'lines',
  'failsafe',
  'callouts',
  'timers',
] as const satisfies readonly (keyof Entries)[];

/** A choice while it is being written. */
export interface Draft {
  owner: WishId;
  /** As it was, with what this choice had written. */
  before: Setup;
  /**
   * A copy without what this choice had written. Settings of the unit, inputs and outputs are its own, to be changed
   * in place; all else is shared.
   */
  setup: Setup;
  /** What this choice writes. */
  own: Entries;
  /** Why something that was chosen cannot be done. */
  reasons: string[];
  /** Things to know that keep nothing from being done. */
  notes: string[];
}

export function draftOf(setup: Setup, owner: WishId): Draft {
  const { unit, program } = setup;
  const copy: Setup = {
    ...setup,
    unit: { ...unit, settings: copyOf(unit.settings) },
    program: { ...program },
  };
  for (const list of LISTS)
    Object.assign(copy.program, { [list]: program[list].filter((e) => e.owner !== owner) });
  // What others read of it stays while it is written again: the chain is asked meanwhile.
  copy.program = withWhatIsRead(program, copy.program, owner).program;
  copy.program.inputs = copy.program.inputs.map((input) => ({ ...input }));
  copy.program.outputs = program.outputs.map((output) => ({ ...output }));
  const own: Entries = {
    inputs: [],
    logic: [],
    shapes: [],
    variables: [],
    lines: [],
    failsafe: [],
    callouts: [],
    timers: [],
  };
  return { owner, before: setup, setup: copy, own, reasons: [], notes: [] };
}

export const channelOf = (setup: Setup, carries: ChannelFunction): number | undefined =>
  setup.unit.settings.inputs.find((i) => i.carries === carries)?.channel;

export function kindOf(setup: Setup, control: string): ControlKind {
  return setup.transmitter.controls.find((c) => c.id === control)!.kind;
}

export const labelOf = (setup: Setup, control: string): string =>
  setup.transmitter.controls.find((c) => c.id === control)?.label ?? control;

/** Where a control rests, in percent. */
export const restOf = (setup: Setup, control: string): number =>
  setup.transmitter.controls.find((c) => c.id === control)!.rest;

/** The position a switch rests in; of anything else the end it rests at. */
export const restPosition = (setup: Setup, control: string): number =>
  switchPosition(kindOf(setup, control), restOf(setup, control));

/** A control at the end that means "on": pressed, or nearest to the body. */
export const held = (setup: Setup, control: string): Condition => ({
  kind: 'switch',
  control,
  position: positionsOf(kindOf(setup, control)) - 1,
});

export function addLine(
  { own, owner }: Draft,
  line: Omit<Line, 'sharePct' | 'shiftPct' | 'owner'> & Partial<Line>,
): void {
  own.lines.push({ sharePct: 100, shiftPct: 0, ...line, owner });
}

export function addLogic({ own, owner }: Draft, logic: Logic): Condition {
  own.logic.push({ ...logic, owner });
  return { kind: 'logic', id: logic.id };
}

export function addVariable({ own, owner }: Draft, variable: Variable): void {
  own.variables.push({ ...variable, owner });
}

/** All of several conditions; the only one stands for itself. */
export const allOf = (conditions: Condition[]): Condition =>
  conditions.length === 1 ? conditions[0]! : { kind: 'all', of: conditions };
export const anyOf = (conditions: Condition[]): Condition =>
  conditions.length === 1 ? conditions[0]! : { kind: 'any', of: conditions };
