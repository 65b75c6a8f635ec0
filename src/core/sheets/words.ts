import { positionWord } from '../chain';
import {
  functionOf,
  type Condition,
  type Control,
  type Line,
  type Setup,
  type Source,
} from '../setup';
import { menuWords } from './menus';

/** −40 %, +100 %, 0 % with a real minus, as it is read off a screen. */
export const pct = (value: number): string => {
  const rounded = Math.round(value * 10) / 10;
  return `${rounded < 0 ? '−' : rounded > 0 ? '+' : ''}${Math.abs(rounded)} %`;
};

export const controlOf = (setup: Setup, id: string): Control =>
  setup.transmitter.controls.find((c) => c.id === id)!;

/** "Switch A middle", "Momentary M pressed" */
export function placeWords(control: Control, position: number): string {
  if (control.kind === 'momentary')
    return `${control.label} ${position === 1 ? 'pressed' : 'released'}`;
  return `${control.label} ${positionWord(control.kind, position)}`;
}

/** Nothing where a part of another Setup reads what this one has not. */
const known = (setup: Setup, id: string): Control | undefined =>
  setup.transmitter.controls.find((c) => c.id === id);

export function conditionWords(setup: Setup, condition: Condition): string {
  const part = (c: Condition) =>
    c.kind === 'all' || c.kind === 'any'
      ? `(${conditionWords(setup, c)})`
      : conditionWords(setup, c);
  switch (condition.kind) {
    case 'switch':
      return known(setup, condition.control)
        ? placeWords(controlOf(setup, condition.control), condition.position)
        : condition.control;
    case 'logic':
      return `“${setup.program.logic.find((l) => l.id === condition.id)?.label ?? condition.id}”`;
    case 'not':
      return `not ${part(condition.of)}`;
    case 'all':
      return condition.of.map(part).join(' and ');
    case 'any':
      return condition.of.map(part).join(' or ');
  }
}

export function sourceWords(setup: Setup, source: Source): string {
  switch (source.kind) {
    case 'fixed':
      return 'a fixed value';
    case 'control':
      return known(setup, source.id)?.label ?? source.id;
    case 'input':
      return `the input ${setup.program.inputs.find((i) => i.id === source.id)?.label ?? source.id}`;
    case 'channel':
      return `channel ${source.channel}`;
    case 'variable':
      return `the variable ${setup.program.variables.find((v) => v.id === source.id)?.label ?? source.id}`;
  }
}

/** "channel 6, mode" */
export function channelWords(setup: Setup, channel: number): string {
  const carries = setup.program.outputs.find((o) => o.channel === channel)?.carries;
  return carries ? `Channel ${channel}, ${functionOf(carries).words}` : `Channel ${channel}`;
}

const EFFECTS = {
  adds: 'adds to the lines above',
  scales: 'scales the lines above',
  'takes-over': 'takes over from the lines above',
} as const;

/** "follows Knob 1, share +50 %, shifted by +50 %, when Switch A near, adds to the lines above" */
export function lineWords(setup: Setup, line: Line, below: boolean): string {
  const shape = setup.program.shapes.find((s) => s.id === line.shape);
  return [
    `follows ${sourceWords(setup, line.follows)}`,
    `${menuWords(setup, 'share')} ${pct(line.sharePct)}`,
    `${menuWords(setup, 'shift')} ${pct(line.shiftPct)}`,
    ...(shape ? [`${menuWords(setup, 'shape')} ${shape.label}`] : []),
    ...(line.when ? [`when ${conditionWords(setup, line.when)}`] : []),
    ...(below || line.effect !== 'adds' ? [EFFECTS[line.effect]] : []),
  ].join(', ');
}

/** Where the hands are in a pose: "Switch A far, Knob 1 full, held 1 s" */
export const poseWords = ({
  places,
  holdS,
}: {
  places: readonly string[];
  holdS: number;
}): string => `${places.join(', ') || 'Nothing touched'}${holdS > 0 ? `, held ${holdS} s` : ''}`;
