/*
 * Sentences that are said in more than one place, one of each. What the core says of a thing stands
 * beside the thing; what is said in one place stands there.
 */

export const LOCAL_RULES = 'Follow the rules of your country, club and site.';
export const SETTING_UP = 'setting the model on the stand …';
export const PROVING = 'Trying every combination …';
export const CHANGED_MEANWHILE = 'Changed while you looked:';
export const LINK_LOST = 'When the signal is lost';
export const YOUR_NAME_FOR_IT = 'What you call it';

/** How the model stands and flies, as labels of its measures. */
export const NOSE_UP = {
  standingPitchDeg: 'stands nose up by',
  flyingPitchDeg: 'flies nose up by',
} as const;

/** What was seen is kept for the version it was seen on. */
export const keepFor = (version: number | undefined): string => `Keep it for version ${version}`;

/** @param reasons what changed since it was seen */
export const seenBefore = (reasons: readonly string[]): string =>
  `Check again: ${reasons.join(', ')} changed since.`;
