/** Lift slope of a section, per radian: 2π with a viscous knock-down for small models. The knock-down is a planning figure. */
export const SECTION_SLOPE = 0.93 * 2 * Math.PI;

/** Share of a section's angle that a finite wing keeps: loaded alike on both sides, and against each other (lifting line). */
export const FINITE = { alike: 2, against: 4 } as const;

/** @param aspect aspect ratio A @param of 2 or 4: A/(A + of) */
export const finiteShare = (aspect: number, of: number): number => aspect / (aspect + of);

/** Lift slope of a straight wing, per radian (Helmbold 1942): 2πA/(2 + √(A²(1 + tan²Λ) + 4)). */
export const helmbold = (aspect: number, sweepTan = 0): number =>
  (2 * Math.PI * aspect) / (2 + Math.sqrt(aspect * aspect * (1 + sweepTan * sweepTan) + 4));
