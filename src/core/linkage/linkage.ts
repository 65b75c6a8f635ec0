/** What the geometry of a rod between two levers is made of; see the Setup for ranges. */
export interface LinkageLengths {
  armMm: number;
  hornMm: number;
  rodMm: number;
  armOffsetDeg: number;
  hornOffsetDeg: number;
}

const RAD = Math.PI / 180;

/**
 * Surface angle for a servo angle, as a plane four-bar: servo arm a, horn h, rod length held
 * constant. At centre the arm stands `armOffsetDeg` and the horn `hornOffsetDeg` off square to the
 * rod. Near centre the ratio is a/h; away from it the rod's slant shows.
 * @param linkage lengths in mm, offsets in degrees @param servoDeg servo rotation
 * @returns horn rotation in degrees, sense not applied; NaN when the rod cannot reach
 */
export function hornDeg(linkage: LinkageLengths, servoDeg: number): number {
  return compileHorn(linkage)(servoDeg);
}

/**
 * The same with everything that does not move worked out once.
 * Loop closure: |horn end − arm end|² = rod², solved as A·cos β + B·sin β = C for the horn angle β.
 */
export function compileHorn(linkage: LinkageLengths): (servoDeg: number) => number {
  const { armMm: a, hornMm: h, rodMm: rod, armOffsetDeg, hornOffsetDeg } = linkage;
  const arm0 = armOffsetDeg * RAD;
  const horn0 = hornOffsetDeg * RAD;
  // Servo pivot at the origin, rod along x at centre: the horn pivot follows from the arm's end.
  const pivotX = a * Math.sin(arm0) + rod - h * Math.sin(horn0);
  const pivotY = a * Math.cos(arm0) - h * Math.cos(horn0);
  const sides = h * h - rod * rod;
  return (servoDeg) => {
    const arm = arm0 + servoDeg * RAD;
    const dx = pivotX - a * Math.sin(arm);
    const dy = pivotY - a * Math.cos(arm);
    // |(dx + h sin β, dy + h cos β)|² = rod²
    const c = (-sides - dx * dx - dy * dy) / (2 * h);
    // dx sin β + dy cos β = c has two roots; the linkage stays on the one it started on, where the
    // derivative dx cos β − dy sin β = d is positive. Both equations together give sin and cos of β.
    const d = Math.sqrt(dx * dx + dy * dy - c * c);
    return (Math.atan2(c * dx - d * dy, d * dx + c * dy) - horn0) / RAD;
  };
}

/**
 * How far a servo can turn from centre before the rod locks.
 * @param travelDeg how far it is asked to turn, each way
 * @returns undefined when the rod follows all the way, else the servo angle at which it locks
 */
export function locksAtDeg(linkage: LinkageLengths, travelDeg: number): number | undefined {
  const horn = compileHorn(linkage);
  for (let deg = 0; deg < travelDeg; deg += 1)
    if (Number.isNaN(horn(deg)) || Number.isNaN(horn(-deg))) return deg;
  return Number.isNaN(horn(travelDeg)) || Number.isNaN(horn(-travelDeg)) ? travelDeg : undefined;
}

/** Millimetres the trailing edge moves, along the chord's arc chord: 2·c·sin(δ/2). */
export function edgeMm(chordMm: number, surfaceDeg: number): number {
  return 2 * chordMm * Math.sin((surfaceDeg * RAD) / 2);
}
