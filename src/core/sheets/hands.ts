import { positionsOf, switchValue } from '../chain';
import { SIDE_NAMES, type ChannelFunction, type Control, type Setup } from '../setup';
import { placeWords } from './words';

/**
 * Monitors round to whole percent and switches, sticks and knobs stop a little short of their ends;
 * more than this is another value. Common practice, no source.
 */
export const TOLERANCE_PCT = 3;
/** The same where something is held between its ends by estimate. Common practice, no source. */
export const BY_EYE_PCT = 5;
/** Where expo bends a stick most, 100 · √⅓, rounded to what an eye can tell. */
export const HALF_WAY_PCT = 60;

/** Where a control can be put for a reading. */
export function valuesOf(setup: Setup, control: Control): number[] {
  switch (control.kind) {
    case 'switch-2':
    case 'switch-3':
    case 'momentary':
      return Array.from({ length: positionsOf(control.kind) }, (_, p) =>
        switchValue(control.kind, p),
      );
    case 'stick':
      return control.rest === 0 ? [0, -100, HALF_WAY_PCT, 100] : [-100, HALF_WAY_PCT, 100];
    default:
      return [...new Set([control.rest, -100, 0, HALF_WAY_PCT, 100, ...cornersOf(setup, control)])];
  }
}

/** Corners of shapes that a knob or slider is sent through. */
const cornersOf = ({ program }: Setup, { id }: Control): number[] =>
  program.lines.flatMap((l) =>
    l.follows.kind === 'control' && l.follows.id === id && l.shape
      ? program.shapes.find((s) => s.id === l.shape)!.points.map((p) => p.inPct)
      : [],
  );

/** A place that no end or detent gives: the hand is held there by estimate. */
export function byEye(control: Control, value: number): boolean {
  if (Math.abs(value) === 100 || control.kind === 'momentary') return false;
  if (control.kind === 'switch-2' || control.kind === 'switch-3') return false;
  return value !== control.rest || control.kind !== 'stick';
}
/** The same hands have the same name, whatever else is in the program. FNV-1a, 32 bits. */
export function handsName(text: string): string {
  let hash = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) {
    hash ^= text.charCodeAt(i);
    hash = Math.imul(hash, 0x01000193);
  }
  return `p${(hash >>> 0).toString(16).padStart(8, '0')}`;
}
const STICK_WORDS: Partial<Record<ChannelFunction, readonly [low: string, high: string]>> = {
  throttle: ['low', 'high'],
  elevator: ['towards you', 'away from you'],
};

/** "Aileron stick right", "Aileron stick a little over half way right", "Knob 1 at its high end" */
export function handWords(control: Control, value: number): string {
  switch (control.kind) {
    case 'switch-2':
    case 'switch-3':
    case 'momentary': {
      const count = positionsOf(control.kind);
      return placeWords(control, Math.round(((value + 100) / 200) * (count - 1)));
    }
    case 'stick': {
      const [low, high] = STICK_WORDS[control.hand ?? 'aileron'] ?? [
        SIDE_NAMES.left,
        SIDE_NAMES.right,
      ];
      if (value === 0) return `${control.label} half way`;
      const way = value < 0 ? low : high;
      return `${control.label} ${Math.abs(value) === 100 ? 'fully' : 'a little over half way'} ${way}`;
    }
    default:
      return `${control.label} ${
        value === 0
          ? 'in the middle'
          : Math.abs(value) === 100
            ? `at its ${value < 0 ? 'low' : 'high'} end`
            : value === HALF_WAY_PCT
              ? 'a little over half way up'
              : `where it shows ${value < 0 ? '−' : '+'}${Math.abs(value)} %`
      }`;
  }
}
