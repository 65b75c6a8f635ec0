/** From where a flight is looked at. */
export type Eye = 'pilot' | 'behind';

/** From the pilot's place the model is drawn so many times its size, or nobody could tell how it lies. */
export const ENLARGED = 8;

/** Lines on the ground are so far apart, metres. */
export const MARKS_M = 50;
