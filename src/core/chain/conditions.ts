import { SIDE_NAMES, type Condition, type ControlKind, type Setup, type Source } from '../setup';
import type { Frame, Layout, Stimulus } from './frame';

export type Test = (stimulus: Stimulus, frame: Frame) => boolean;

/**
 * Position of a switch from its value: a two-position switch splits at 0, a three-position one
 * at ±50. Counted from the far position.
 */
export function switchPosition(kind: ControlKind, value: number): number {
  if (kind !== 'switch-3') return value < 0 ? 0 : 1;
  return value < -50 ? 0 : value <= 50 ? 1 : 2;
}

/** How many positions a switch has. */
export const positionsOf = (kind: ControlKind): 2 | 3 => (kind === 'switch-3' ? 3 : 2);

const POSITION_WORDS = { 2: ['far', 'near'], 3: ['far', 'middle', 'near'] } as const;

/** What a position of a switch is called; they count from the far one. */
export const positionWord = (kind: ControlKind, position: number): string =>
  POSITION_WORDS[positionsOf(kind)][position] ?? '';

/** A button nobody presses. */
export const RELEASED = 'released';

/** Where a control can be put, from its low end up: each place in a word, and its value. A stick has none of a name. */
export function placesOf(kind: ControlKind): readonly (readonly [words: string, value: number])[] {
  switch (kind) {
    case 'switch-2':
    case 'switch-3':
      return Array.from({ length: positionsOf(kind) }, (_, i) => [
        positionWord(kind, i),
        switchValue(kind, i),
      ]);
    case 'momentary':
      return [
        [RELEASED, -100],
        ['held', 100],
      ];
    case 'knob':
      return [
        [SIDE_NAMES.left, -100],
        [SIDE_NAMES.right, 100],
      ];
    case 'slider':
      return [
        ['near', -100],
        ['far', 100],
      ];
    case 'stick':
    case 'trim':
      return [];
  }
}

/** Value a switch sends in a position: −100, (0,) +100. */
export function switchValue(kind: ControlKind, position: number): number {
  return kind === 'switch-3' ? (position - 1) * 100 : position * 200 - 100;
}

export function compileCondition(condition: Condition, layout: Layout, setup: Setup): Test {
  switch (condition.kind) {
    case 'switch': {
      const at = layout.controls.get(condition.control)!;
      const kind = setup.transmitter.controls[at]!.kind;
      const { position } = condition;
      return (s) => switchPosition(kind, s.controls[at]!) === position;
    }
    case 'logic': {
      const at = layout.logic.get(condition.id)!;
      return (_, f) => f.logic[at] === 1;
    }
    case 'not': {
      const of = compileCondition(condition.of, layout, setup);
      return (s, f) => !of(s, f);
    }
    case 'all': {
      const parts = condition.of.map((c) => compileCondition(c, layout, setup));
      return (s, f) => parts.every((part) => part(s, f));
    }
    case 'any': {
      const parts = condition.of.map((c) => compileCondition(c, layout, setup));
      return (s, f) => parts.some((part) => part(s, f));
    }
  }
}

/** Where a source's value lies; a number, so that reading it needs no call through a pointer. */
export interface CompiledSource {
  kind: 0 | 1 | 2 | 3 | 4;
  at: number;
}

export function compileSource(source: Source, layout: Layout): CompiledSource {
  switch (source.kind) {
    case 'fixed':
      return { kind: 0, at: 0 };
    case 'control':
      return { kind: 1, at: layout.controls.get(source.id)! };
    case 'input':
      return { kind: 2, at: layout.inputs.get(source.id)! };
    case 'channel':
      return { kind: 3, at: source.channel - 1 };
    case 'variable':
      return { kind: 4, at: layout.variables.get(source.id)! };
  }
}

/** Reads a source in percent. */
export function readSource({ kind, at }: CompiledSource, stimulus: Stimulus, frame: Frame): number {
  switch (kind) {
    case 0:
      return 100;
    case 1:
      return stimulus.controls[at]!;
    case 2:
      return frame.inputsPct[at]!;
    case 3:
      return frame.channelsPct[at]!;
    case 4:
      return frame.variablesPct[at]!;
  }
}
