import type { UnitTraits } from '../setup';
import type { Vector3 } from '../space';

/** The six ways to lay a unit down, by what points up. */
export const FACES = ['label', 'underside', 'left', 'right', 'arrow-end', 'far-end'] as const;
export type Face = (typeof FACES)[number];

/**
 * What a perfect accelerometer reads lying so, in g: the push of the bench, upward, in the unit's own
 * axes (x along the arrow, y to its right, z out of its underside).
 */
export const UP: Readonly<Record<Face, Vector3>> = {
  label: [0, 0, -1],
  underside: [0, 0, 1],
  left: [0, -1, 0],
  right: [0, 1, 0],
  'arrow-end': [1, 0, 0],
  'far-end': [-1, 0, 0],
};

export type PinsAt = NonNullable<UnitTraits['pinsAt']>;

/** Where the pins are on a unit that does not say: opposite to its arrow. Common practice, no source. */
export const USUAL_PINS: PinsAt = 'far-end';

/** Where a face is, told by what can be seen on the unit: its label, its arrow, its pins. */
export function faceWords(face: Face, pinsAt: PinsAt = USUAL_PINS): string {
  const pins = face === pinsAt ? ', the end with the pins,' : '';
  switch (face) {
    case 'label':
      return 'flat on the bench, label up';
    case 'underside':
      return 'flat on its label, underside up';
    case 'left':
      return `on its right side: left side${pins} up, seen along the arrow`;
    case 'right':
      return `on its left side: right side${pins} up, seen along the arrow`;
    case 'arrow-end':
      return `on end: the arrow${pins} pointing up`;
    case 'far-end':
      return `on end: the arrow pointing down${pins ? ', pins up' : ''}`;
  }
}

/** The face a reading is nearest to, and how far the reading is off it in degrees. */
export function faceOf(reading: Vector3): { face: Face; offDeg: number } {
  const size = Math.hypot(...reading);
  let best: { face: Face; cos: number } = { face: 'label', cos: -Infinity };
  for (const face of FACES) {
    const cos = UP[face].reduce((sum, v, i) => sum + v * reading[i]!, 0) / (size || 1);
    if (cos > best.cos) best = { face, cos };
  }
  return {
    face: best.face,
    offDeg: (Math.acos(Math.max(-1, Math.min(1, best.cos))) * 180) / Math.PI,
  };
}
