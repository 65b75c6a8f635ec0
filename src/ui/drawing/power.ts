import { motorPlaceOf } from '@/core/model';
import type { Airframe, Motor } from '@/core/setup';
import type { Quad } from './quad';
import { block } from './stand';

/** Share of the span that a propeller sweeps; two of them are smaller. Proportions are guessed. */
const PROPELLER = { one: 0.1, several: 0.075 };

/** A motor as it is drawn: what carries it, where it stands off the body, and what turns. */
export interface DrawnMotor {
  motor: Motor;
  quads: Quad[];
}

/** Motors of a model that flies. One inside the body turns nothing that is seen. */
export function airMotors(
  airframe: Airframe,
  body: { front: number; back: number; half: number },
): DrawnMotor[] {
  const { lengthMm: length, spanMm: span } = airframe.measures;
  const reach = span * (airframe.motors.length > 1 ? PROPELLER.several : PROPELLER.one);
  return airframe.motors.flatMap((motor): DrawnMotor[] => {
    const { forwardMm: x, rightMm: y, downMm } = motorPlaceOf(airframe, motor);
    const onBody = Math.abs(y) <= body.half;
    if (onBody && x > body.back && x < body.front) return [];
    const z = downMm - (onBody ? 0 : 0.05 * length);
    const ahead = x >= 0 ? 1 : -1;
    const disc = block([x - 0.008 * length, x + 0.008 * length], y, reach, [
      z - 0.012 * length,
      z + 0.012 * length,
    ]);
    const behind = x - ahead * 0.2 * length;
    const nacelle = onBody
      ? []
      : block(ahead > 0 ? [behind, x] : [x, behind], y, 0.028 * span, [
          z - 0.03 * length,
          z + 0.03 * length,
        ]);
    return [{ motor, quads: [...nacelle, ...disc] }];
  });
}

/** Motors of a boat: a screw each, under its stern. */
export function boatMotors(airframe: Airframe): DrawnMotor[] {
  const { lengthMm: length, spanMm: width } = airframe.measures;
  return airframe.motors.map((motor) => {
    const { forwardMm: x, rightMm: y } = motorPlaceOf(airframe, motor);
    const at = Math.min(x, -0.45 * length);
    return {
      motor,
      quads: [
        ...block([at, at + 0.12 * length], y, 0.012 * width, [38, 46]),
        ...block([at - 0.01 * length, at + 0.01 * length], y, 0.1 * width, [30, 54]),
      ],
    };
  });
}
