import type { Axis } from './lists';

/** The axes in the middle of a sentence. */
export const AXIS_NAMES: Readonly<Record<Axis, string>> = {
  roll: 'roll',
  pitch: 'pitch',
  yaw: 'yaw',
};

/** Directions in the middle of a sentence. */
export const SIDE_NAMES = { up: 'up', down: 'down', left: 'left', right: 'right' } as const;

/** Words as the beginning of a sentence. */
export const capital = (words: string): string => words.slice(0, 1).toUpperCase() + words.slice(1);

/** A number with a true minus sign: lines break after a hyphen, not after a minus. */
export const printed = (value: number | string): string => String(value).replace('-', '−');
