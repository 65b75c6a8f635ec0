import type { Vector3 } from '../space';
import { FACES, UP, faceOf, faceWords, type Face, type PinsAt } from './faces';

/** A reading this far from 1 g was taken while the unit moved, or is in another measure. */
const STILL_G = 0.25;
/** Further off than this it was not lying on the face. */
const FLAT_DEG = 25;

/** Faces further from square than this were not held against anything square. Planning figure, no source. */
export const SQUARE_DEG = 3;

/** Calibration of a three-axis accelerometer by its six faces. */
export interface SixFace {
  /** Reading of one g on each axis: 1 is perfect. */
  scale: Vector3;
  /** Reading of nothing on each axis, in g. */
  biasG: Vector3;
  /** Greatest distance of a corrected reading's length from 1 g. */
  residualG: number;
  /** Greatest lean of a face: how far two of them are from opposite, or from square to each other. */
  leanDeg: number;
  /** How far level is off before and after, in degrees: what the bias does to self-levelling. */
  levelErrorDeg: number;
}

/**
 * Scale and bias of each axis from its pair of opposite faces: scale = (a⁺ − a⁻)/2, bias =
 * (a⁺ + a⁻)/2; the residual is the worst | |corrected| − 1 g | over all six (six-position static
 * test, IEEE Std 1293).
 * @param readings in g, one for each face in the order of FACES
 */
export function sixFace(readings: readonly Vector3[]): SixFace {
  const at = (face: Face) => readings[FACES.indexOf(face)]!;
  const pairs: readonly (readonly [Face, Face])[] = [
    ['arrow-end', 'far-end'],
    ['right', 'left'],
    ['underside', 'label'],
  ];
  const axis = (i: number) => {
    const [plus, minus] = pairs[i]!;
    return [at(plus)[i]!, at(minus)[i]!] as const;
  };
  const three = (f: (i: number) => number): Vector3 => [f(0), f(1), f(2)];
  const scale = three((i) => (axis(i)[0] - axis(i)[1]) / 2);
  const biasG = three((i) => (axis(i)[0] + axis(i)[1]) / 2);
  const residualG = Math.max(
    ...readings.map((r) =>
      Math.abs(Math.hypot(...three((i) => (r[i]! - biasG[i]!) / (scale[i]! || 1))) - 1),
    ),
  );
  const levelErrorDeg =
    (Math.atan(Math.hypot(biasG[0], biasG[1]) / Math.abs(scale[2] || 1)) * 180) / Math.PI;
  const corrected = readings.map((r) => three((i) => (r[i]! - biasG[i]!) / (scale[i]! || 1)));
  const between = (p: Vector3, q: Vector3) =>
    (Math.acos(
      Math.max(
        -1,
        Math.min(
          1,
          (p[0] * q[0] + p[1] * q[1] + p[2] * q[2]) / (Math.hypot(...p) * Math.hypot(...q) || 1),
        ),
      ),
    ) *
      180) /
    Math.PI;
  // Lengths say little of a lean (10° is 0.015 g): the angles between the faces say it at once.
  const leanDeg = Math.max(
    ...corrected.flatMap((p, i) =>
      corrected.slice(i + 1).map((q, j) => {
        const opposite = pairs.some(
          ([x, y]) => [x, y].includes(FACES[i]!) && [x, y].includes(FACES[i + 1 + j]!),
        );
        return Math.abs((opposite ? 180 : 90) - between(p, q));
      }),
    ),
  );
  return { scale, biasG, residualG, leanDeg, levelErrorDeg };
}

/** Why a reading does not do for the face it was taken as; undefined when it does. */
export function faceProblem(expected: Face, reading: Vector3, pinsAt?: PinsAt): string | undefined {
  const size = Math.hypot(...reading);
  if (Math.abs(size - 1) > STILL_G)
    return `It reads ${size.toFixed(2)} g in all: it was moving, or these are not in g. Keep it still and read again.`;
  const { face, offDeg } = faceOf(reading);
  if (face === expected && offDeg <= FLAT_DEG) return undefined;
  if (face === expected)
    return `It leans ${offDeg.toFixed(0)}° off that face. Hold it against something square.`;
  return `It lies ${faceWords(face, pinsAt)}; the unit waits for it ${faceWords(expected, pinsAt)}. ${trap(expected, face)}`;
}

/** The usual reason for showing one face for another. */
function trap(expected: Face, shown: Face): string {
  const ends: readonly Face[] = ['arrow-end', 'far-end'];
  const sides: readonly Face[] = ['left', 'right'];
  if (ends.includes(expected) && ends.includes(shown))
    return 'The usual trap: the picture’s front is the other end. Turn it end for end.';
  if (sides.includes(expected) && sides.includes(shown))
    return 'Left and right are seen along the arrow, label up. Turn it over on its other side.';
  return 'If a step never moves on, the unit feels a different face from the one it expects.';
}

/** What is wrong with six readings taken in order, face by face; empty when nothing is. */
export function orderProblems(
  readings: readonly (Vector3 | undefined)[],
  pinsAt?: PinsAt,
): { face: Face; reason: string }[] {
  return FACES.flatMap((face, i) => {
    const reading = readings[i];
    const reason = reading && faceProblem(face, reading, pinsAt);
    return reason ? [{ face, reason }] : [];
  });
}

/** What a sensor with these faults would read on each face: for trying it out without a unit. */
export const simulateSixFace = (scale: Vector3, biasG: Vector3): Vector3[] =>
  FACES.map((face) => {
    const [x, y, z] = UP[face];
    return [x * scale[0] + biasG[0], y * scale[1] + biasG[1], z * scale[2] + biasG[2]];
  });

/**
 * Readings out of pasted text: three numbers a line, parted by blanks, commas or semicolons.
 * @returns the readings, or the first line that is none
 */
export function readSixFace(
  text: string,
): { ok: true; readings: Vector3[] } | { ok: false; line: number; reason: string } {
  const lines = text.split(/\r?\n/).filter((l) => l.trim() !== '');
  const readings: Vector3[] = [];
  for (const [i, line] of lines.entries()) {
    const parts = line
      .trim()
      .replace(/−/g, '-')
      .split(/[\s,;]+/)
      .filter((p) => p !== '');
    const numbers = parts.map(Number);
    if (parts.length !== 3 || numbers.some((n) => !Number.isFinite(n) || Math.abs(n) > 16))
      return { ok: false, line: i + 1, reason: `needs three numbers in g, each within ±16` };
    readings.push(numbers as unknown as Vector3);
  }
  if (readings.length !== FACES.length)
    return {
      ok: false,
      line: lines.length,
      reason: `${readings.length} lines, needs six: one for each face`,
    };
  return { ok: true, readings };
}
