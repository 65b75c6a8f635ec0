/** Air at sea level, kg/m³ (ICAO standard atmosphere, ISO 2533). */
export const AIR_KG_M3 = 1.225;

/** Past this angle a section lets go; over the next ones it becomes a flat plate, radians. Planning figures. */
const STALL = 0.21;
const STALLED = 0.35;
/** A section carries no more than this. Planning figure. */
const MOST_LIFT = 1.3;
/** A section's own drag at no lift. Planning figure. */
export const SECTION_DRAG = 0.012;
/** Lift and drag of a flat plate across the wind (Hoerner, Fluid-Dynamic Drag, from memory). */
const PLATE_LIFT = 1.1;
const PLATE_DRAG = 1.8;

/** Lift and drag of a section, as shares of q·S. */
export interface Section {
  lift: number;
  drag: number;
}

/**
 * A section at any angle: straight line, then a flat plate, so that nothing is better than it can be.
 * @param wind angle of the wind, radians, any @param kept what a finite wing leaves of it, with the flap in it
 * @param induced 1/(π·e·A)
 */
export function sectionAt(
  wind: number,
  kept: number,
  slope: number,
  induced: number,
  out: Section,
): void {
  const size = wind < 0 ? -wind : wind;
  const line = slope * kept;
  const lift = line > MOST_LIFT ? MOST_LIFT : line < -MOST_LIFT ? -MOST_LIFT : line;
  if (size <= STALL) {
    out.lift = lift;
    out.drag = SECTION_DRAG + lift * lift * induced;
    return;
  }
  const x = (size - STALL) / (STALLED - STALL);
  const plate = x >= 1 ? 1 : x * x * (3 - 2 * x);
  const sin = Math.sin(wind);
  out.lift = (1 - plate) * lift + plate * PLATE_LIFT * Math.sin(2 * wind);
  out.drag = SECTION_DRAG + (1 - plate) * lift * lift * induced + plate * PLATE_DRAG * sin * sin;
}
