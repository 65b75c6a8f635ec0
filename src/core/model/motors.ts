import { kindOf, type Airframe, type Motor, type MotorPlace } from '../setup';
import type { Arms, Vector } from './moment';

/** Share of the span at which each of two motors stands from the middle. Common practice, no source. */
const OUT = { air: 0.2, wheels: 0.25, water: 0.18 } as const;

/** How far ahead motors stand: in the nose, on the wing, behind a flying wing, in the stern. Proportions are guessed. */
function usualForward(airframe: Airframe): number {
  const { motors, measures, kind } = airframe;
  if (kindOf(airframe).moves !== 'air') return -0.45 * measures.lengthMm;
  if (motors.length > 1) return 0.14 * measures.lengthMm;
  return kind === 'flying-wing' ? -0.66 * measures.chordMm : 0.38 * measures.lengthMm;
}

/** Where a motor is and which way it pulls: as it was said, or side by side as the list has them, from the left. */
export function motorPlaceOf(airframe: Airframe, motor: Motor): MotorPlace {
  if (motor.place) return motor.place;
  const { motors, measures } = airframe;
  const { moves } = kindOf(airframe);
  const at = motors.findIndex((m) => m.id === motor.id);
  const across = motors.length < 2 ? 0 : (2 * at) / (motors.length - 1) - 1;
  return {
    forwardMm: Math.round(usualForward(airframe)),
    rightMm: Math.round(across * OUT[moves] * measures.spanMm),
    downMm: 0,
    upDeg: 0,
    rightDeg: 0,
  };
}

/** Which way a motor pulls, as a unit vector in body axes. */
export function thrustLine({ upDeg, rightDeg }: Pick<MotorPlace, 'upDeg' | 'rightDeg'>): Vector {
  const [up, right] = [(upDeg * Math.PI) / 180, (rightDeg * Math.PI) / 180];
  return [Math.cos(up) * Math.cos(right), Math.cos(up) * Math.sin(right), -Math.sin(up)];
}

/**
 * Turning moment of a motor about each axis for one unit of thrust, in millimetres: r × F about the balance
 * point in ISO 1151-1 axes, the thrust along its line (mechanics, no source). Roll right, nose up, nose right
 * are positive.
 */
export function motorArms(airframe: Airframe, motor: Motor): Arms {
  const place = motorPlaceOf(airframe, motor);
  const { forwardMm: x, rightMm: y, downMm: z } = place;
  const [fx, fy, fz] = thrustLine(place);
  return { roll: y * fz - z * fy, pitch: z * fx - x * fz, yaw: x * fy - y * fx };
}

const isSame = (a: MotorPlace, b: MotorPlace): boolean =>
  (Object.keys(a) as (keyof MotorPlace)[]).every((key) => a[key] === b[key]);

/** The motors with one put somewhere else; the one across from it goes with it, as its mirror image. */
export function movedMotor(airframe: Airframe, id: string, change: Partial<MotorPlace>): Airframe {
  const own = airframe.motors.find((m) => m.id === id);
  if (!own) throw new RangeError(`there is no motor "${id}"`);
  const before = motorPlaceOf(airframe, own);
  const mirrored = (p: MotorPlace): MotorPlace => ({
    ...p,
    rightMm: -p.rightMm || 0,
    rightDeg: -p.rightDeg || 0,
  });
  const twin = airframe.motors.find(
    (m) => m !== own && isSame(motorPlaceOf(airframe, m), mirrored(before)),
  );
  const place = { ...before, ...change };
  return {
    ...airframe,
    motors: airframe.motors.map((m) =>
      m === own ? { ...m, place } : m === twin ? { ...m, place: mirrored(place) } : m,
    ),
  };
}
