import type { Mounting } from '../setup';
import { nearestMounting } from '../mounting';
import {
  apply,
  cross,
  eulerMatrix,
  mountingMatrix,
  multiply,
  transpose,
  type Matrix3,
  type Vector3,
} from '../space';

/**
 * How far from a right angle the two looks may be for a unit to take them for sure: about 15° works,
 * 30–40° does not (common practice, no source), and between them nobody can promise anything.
 */
export const LEARN_LIMIT_DEG = 15;

/** What a unit makes of two looks at the model. */
export interface Learned {
  /** The mounting it settles on; undefined when it refuses. */
  mounting: Mounting | undefined;
  /** How far the two looks are from a right angle. */
  offDeg: number;
  says: string;
}

const DOWN: Vector3 = [0, 0, 1];
const deg = (rad: number) => (rad * 180) / Math.PI;
const dot = (a: Vector3, b: Vector3) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const unitOf = (v: Vector3): Vector3 => {
  const size = Math.hypot(...v) || 1;
  return [v[0] / size, v[1] / size, v[2] / size];
};

/** What the sensor calls down with the model in an attitude, in the unit's own axes. */
function downSeen(mounting: Mounting, rollDeg: number, pitchDeg: number): Vector3 {
  const toBody = transpose(eulerMatrix(rollDeg, pitchDeg, 0));
  return apply(transpose(mountingMatrix(mounting)), apply(toBody, DOWN));
}

/** Settles on the square mounting nearest to two directions of the model seen in unit axes. */
function settle(forward: Vector3, down: Vector3): Learned {
  const offDeg = Math.abs(90 - deg(Math.acos(Math.max(-1, Math.min(1, dot(forward, down))))));
  if (offDeg > LEARN_LIMIT_DEG)
    return {
      mounting: undefined,
      offDeg,
      says: `The second look is ${offDeg.toFixed(0)}° off a right angle to the first: too far (beyond about ${LEARN_LIMIT_DEG}°) for it to know which way is forward. It waits, or it guesses.`,
    };
  const z = unitOf(down);
  const y = unitOf(cross(z, forward));
  const x = cross(y, z);
  // Rows are the body's axes seen in the unit's: that is the matrix from unit to body.
  const rotation: Matrix3 = [...x, ...y, ...z] as unknown as Matrix3;
  const { mounting } = nearestMounting(rotation);
  return {
    mounting,
    offDeg,
    says: `${offDeg.toFixed(0)}° off a right angle is close enough: the unit settles on the nearest square position.`,
  };
}

/**
 * Learning by gravity: level, then nose straight down.
 * @param mounting how the unit really sits @param levelPitchDeg nose up in the first look
 * @param shortDeg how far the nose is from straight down in the second; 0 is perfect
 */
export function learnByGravity(
  mounting: Mounting,
  levelPitchDeg: number,
  shortDeg: number,
): Learned {
  const level = downSeen(mounting, 0, levelPitchDeg);
  // Nose down, the pull is toward the nose.
  const nose = downSeen(mounting, 0, -90 + shortDeg);
  return settle(nose, level);
}

/**
 * Learning by turning: lift the tail (a turn about the right wing, nose going down), then yaw right.
 * @param askewDeg how far the yaw's axis is tilted toward the wing axis of the first turn
 */
export function learnByTurning(mounting: Mounting, askewDeg: number): Learned {
  const toUnit = transpose(mountingMatrix(mounting));
  // Nose down is a negative turn about y; nose right a positive one about z.
  const first = apply(toUnit, [0, -1, 0]);
  const tilt = multiply(eulerMatrix(askewDeg, 0, 0), mountingMatrix('nose-up'));
  const second = apply(toUnit, apply(tilt, DOWN));
  const right: Vector3 = [-first[0], -first[1], -first[2]];
  const offDeg = Math.abs(90 - deg(Math.acos(Math.max(-1, Math.min(1, dot(right, second))))));
  if (offDeg > LEARN_LIMIT_DEG) return settle(right, second);
  const found = settle(cross(right, unitOf(second)), second);
  return { ...found, offDeg, says: found.says.replace(/^\d+°/, `${offDeg.toFixed(0)}°`) };
}
