/** Span efficiency. Common practice, no source. */
export const OSWALD = 0.8;

/**
 * Drag at no lift that gives a glide ratio at its best: (L/D) = ½·√(π·e·A/CD0).
 * @param aspect aspect ratio @returns CD0 of the wing's area
 */
export const dragOf = (glideRatio: number, aspect: number, factor: number): number =>
  (factor * Math.PI * OSWALD * aspect) / (4 * glideRatio * glideRatio);
