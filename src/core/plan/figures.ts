/**
 * Gain sent while panic acts: enough to right a model, not enough to make most of them shake.
 * Common practice, no source.
 */
export const PANIC_GAIN_PCT = 60;
