import type { Measures } from '@/core/setup';
import { NOSE_UP } from '../words';

export type NumberMeasure = Exclude<keyof Measures, 'stance'>;

/** What the measures are called. */
export const MEASURE_WORDS: Record<NumberMeasure, string> = {
  spanMm: 'span (or width)',
  lengthMm: 'length',
  chordMm: 'wing chord',
  massG: 'mass, ready to go',
  cruiseMps: 'usual speed',
  approachMps: 'slow speed',
  glideRatio: 'glide ratio',
  wheelbaseMm: 'between supports, fore and aft',
  trackMm: 'track',
  standingPitchDeg: NOSE_UP.standingPitchDeg,
  flyingPitchDeg: NOSE_UP.flyingPitchDeg,
};

/** A measure that has a line on the drawing: across the model, or along it. */
export type Drawn = 'spanMm' | 'lengthMm';

export const DRAWN_WORDS: Record<Drawn, string> = {
  spanMm: 'Pull: width',
  lengthMm: 'Pull: length',
};
