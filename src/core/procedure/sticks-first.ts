import { kindOf, type Setup } from '../setup';

/**
 * Whether the sticks are corrected before anything is taught or corrected: the school says so, or the
 * unit learns its directions from them, or the steering is all there is and its ends are set by it.
 */
export const sticksFirst = ({
  intents,
  unit,
  airframe,
}: Pick<Setup, 'intents' | 'unit' | 'airframe'>): boolean =>
  intents.school === 'sticks-first' ||
  unit.traits.correctionDirection === 'learned' ||
  kindOf(airframe).onSurface;
