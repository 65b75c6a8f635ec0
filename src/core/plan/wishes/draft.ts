import { positionsOf } from '../../chain';
import type {
  ChannelFunction,
  Condition,
  ControlKind,
  Line,
  Logic,
  Setup,
  Variable,
} from '../../setup';

/** A Setup while its program is being written: one's own copy, changed in place. */
export interface Draft {
  setup: Setup;
  /** Why something that was wished for cannot be done. */
  reasons: string[];
  /** Things to know that keep nothing from being done. */
  notes: string[];
}

/** What the planner writes is known by these beginnings of its names, and taken out before writing. */
const OWN = /^(mode|gain|panic|cut|launch|say|timer)-/;
const OWN_PURPOSES: readonly (Line['purpose'] | undefined)[] = [
  'mode',
  'gain',
  'panic',
  'throttle-cut',
  'launch',
];

/** Starts from a program without anything an earlier set of wishes put there. */
export function draftOf(setup: Setup): Draft {
  const own = JSON.parse(JSON.stringify(setup)) as Setup;
  const { program } = own;
  program.lines = program.lines.filter((l) => !OWN_PURPOSES.includes(l.purpose));
  program.logic = program.logic.filter((l) => !OWN.test(l.id));
  program.variables = program.variables.filter((v) => !OWN.test(v.id));
  program.callouts = program.callouts.filter((c) => !OWN.test(c.id));
  program.timers = program.timers.filter((t) => !OWN.test(t.id));
  for (const input of program.inputs) input.rates = input.rates.slice(-1);
  return { setup: own, reasons: [], notes: [] };
}

export const channelOf = (setup: Setup, carries: ChannelFunction): number | undefined =>
  setup.unit.settings.inputs.find((i) => i.carries === carries)?.channel;

export function kindOf(setup: Setup, control: string): ControlKind {
  return setup.transmitter.controls.find((c) => c.id === control)!.kind;
}

export const labelOf = (setup: Setup, control: string): string =>
  setup.transmitter.controls.find((c) => c.id === control)?.label ?? control;

/** A control at the end that means "on": pressed, or nearest to the body. */
export const held = (setup: Setup, control: string): Condition => ({
  kind: 'switch',
  control,
  position: positionsOf(kindOf(setup, control)) - 1,
});

export function addLine(
  { setup }: Draft,
  line: Omit<Line, 'weightPct' | 'offsetPct'> & Partial<Line>,
): void {
  setup.program.lines.push({ weightPct: 100, offsetPct: 0, ...line });
}

export function addLogic({ setup }: Draft, logic: Logic): Condition {
  setup.program.logic.push(logic);
  return { kind: 'logic', id: logic.id };
}

export function addVariable({ setup }: Draft, variable: Variable): void {
  setup.program.variables.push(variable);
}

/** All of several conditions; the only one stands for itself. */
export const allOf = (conditions: Condition[]): Condition =>
  conditions.length === 1 ? conditions[0]! : { kind: 'all', of: conditions };
export const anyOf = (conditions: Condition[]): Condition =>
  conditions.length === 1 ? conditions[0]! : { kind: 'any', of: conditions };
