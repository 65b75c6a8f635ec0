/** A slender body of so much volume turns itself across the wind: 2·q·V·k an radian (Munk 1924). */
const APPARENT_MASS = 0.9;
/** Share of its box that a fuselage fills, and its half width of its length, as drawn. */
const FILLED = 0.5;
const HALF_WIDTH = 0.055;

/** Moment an q and radian, m³; and the area seen from the side, m². */
export function fuselageOf(lengthM: number, factor: number): { turning: number; sideM2: number } {
  const half = HALF_WIDTH * lengthM;
  const volume = FILLED * lengthM * Math.PI * half * half;
  return { turning: 2 * factor * APPARENT_MASS * volume, sideM2: 2 * half * lengthM * FILLED };
}
