import { FOR_LEVEL, type Gesture } from '../chain';
import { SIDE_NAMES, type Axis } from '../setup';

/** Flatter than this counts as level, degrees. */
const FLAT_DEG = 1;
const FLAT_WORDS = { flat: 'level' } as const;

/** What the unit does with a gesture it has just heard, in the attitude of the model. */
export function heardWords(
  { for: what }: Gesture,
  attitude: Readonly<Record<Axis, number>>,
): string {
  return what === FOR_LEVEL
    ? `The unit takes this as its gesture for level: it captures the attitude the model has now, ${attitudeWords(attitude)}.`
    : `The unit takes this as its gesture for “${what}”.`;
}

/** "12° nose up and 5° right wing down" */
function attitudeWords({ pitch, roll }: Readonly<Record<Axis, number>>): string {
  const parts = [
    ...(Math.abs(pitch) < FLAT_DEG
      ? []
      : [`${Math.abs(pitch).toFixed(0)}° nose ${pitch > 0 ? SIDE_NAMES.up : SIDE_NAMES.down}`]),
    ...(Math.abs(roll) < FLAT_DEG
      ? []
      : [
          `${Math.abs(roll).toFixed(0)}° ${roll > 0 ? SIDE_NAMES.right : SIDE_NAMES.left} wing down`,
        ]),
  ];
  return parts.join(' and ') || FLAT_WORDS.flat;
}
