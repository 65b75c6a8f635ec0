/*
 * Figures a new model begins with. Common practice, no source.
 */

/** Gain sent while panic acts: enough to right a model, not enough to make most of them shake. */
export const PANIC_GAIN_PCT = 60;

/** Gain where no control is left to set it: low enough for most, to be found in flight. */
export const FIXED_GAIN_PCT = 40;

/** Throw and expo of a steering stick. */
export const USUAL_RATE = { pct: 100, expoPct: 20 };

/** Nose up a little, for a glide that does not gather speed. */
export const GLIDE_PITCH_DEG = 3;
