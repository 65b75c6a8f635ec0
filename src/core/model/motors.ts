import { kindOf, type Airframe, type Motor, type MotorPlace } from '../setup';
import type { Arms } from './moment';

/** Share of the span at which each of two motors stands from the middle. Common practice, no source. */
const OUT = { air: 0.2, wheels: 0.25, water: 0.18 } as const;

/** Where a motor is and which way it pulls: as it was said, or side by side as the list has them, from the left. */
export function motorPlaceOf(airframe: Airframe, motor: Motor): MotorPlace {
  if (motor.place) return motor.place;
  const { motors, measures } = airframe;
  const { moves } = kindOf(airframe);
  const at = motors.findIndex((m) => m.id === motor.id);
  const across = motors.length < 2 ? 0 : (2 * at) / (motors.length - 1) - 1;
  const forward = moves === 'air' && motors.length < 2 ? 0.3 : moves === 'air' ? 0.1 : -0.45;
  return {
    forwardMm: Math.round(forward * measures.lengthMm),
    rightMm: Math.round(across * OUT[moves] * measures.spanMm),
    downMm: 0,
    upDeg: 0,
    rightDeg: 0,
  };
}

/**
 * Turning moment of a motor about each axis for one unit of thrust, in millimetres: r × F about the balance
 * point in ISO 1151-1 axes, the thrust along its line (mechanics, no source). Roll right, nose up, nose right
 * are positive.
 */
export function motorArms(airframe: Airframe, motor: Motor): Arms {
  const { forwardMm: x, rightMm: y, downMm: z, upDeg, rightDeg } = motorPlaceOf(airframe, motor);
  const [up, right] = [(upDeg * Math.PI) / 180, (rightDeg * Math.PI) / 180];
  const fx = Math.cos(up) * Math.cos(right);
  const fy = Math.cos(up) * Math.sin(right);
  const fz = -Math.sin(up);
  return { roll: y * fz - z * fy, pitch: z * fx - x * fz, yaw: x * fy - y * fx };
}
