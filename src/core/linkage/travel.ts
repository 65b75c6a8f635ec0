import { compileHorn } from './linkage';
import type { Linkage, Steering } from './schema';
import { compileSteering, compileStops } from './steering';

/** What of a model decides how its wheels are driven. */
interface Steered {
  steering?: Steering | undefined;
}

/** A surface, or a wheel, at the end of its rod. */
interface Driven {
  role: string;
  side: 'left' | 'right' | 'centre';
  linkage: Linkage;
  /** From the balance point. */
  place?: { forwardMm: number } | undefined;
}

/** Whether a wheel of a car is on its front axle: ahead of the balance point, as it is where nobody has said otherwise. */
export const isOnFrontAxle = ({ place }: Pick<Driven, 'place'>): boolean =>
  place === undefined || place.forwardMm > 0;

/** Whether a surface is a front wheel that follows the measured steering. */
export const steersBy = ({ steering }: Steered, surface: Driven): boolean =>
  steering !== undefined &&
  surface.role === 'wheel' &&
  surface.side !== 'centre' &&
  isOnFrontAxle(surface);

/**
 * What a servo angle makes of a surface, rising with it: through its own rod, or through the steering
 * of the car, which stops where it meets its stop, whatever the servo is sent to.
 * @returns degrees, the sense of the rod not applied; NaN where a rod cannot reach
 */
export function compileTravel(airframe: Steered, surface: Driven): (servoDeg: number) => number {
  const { steering } = airframe;
  if (!steering || !steersBy(airframe, surface)) return compileHorn(surface.linkage);
  const at = compileSteering(steering);
  const stopped = compileStops(steering);
  const side = surface.side === 'left' ? 'left' : 'right';
  // Worked from the other side of the arm, the whole mechanism is moved the other way.
  const sense = surface.linkage.sense === 'same' ? 1 : -1;
  return (servoDeg) => sense * at(stopped(sense * servoDeg))[side];
}

/**
 * How far a servo can turn from centre before its surface locks or turns back.
 * @param travel surface angle by servo angle, degrees; NaN where the rod locks
 * @param mostDeg the servo's reach each way @param backDeg turning back by less than this is ignored
 * @returns the lower and the upper limit of the servo, degrees; infinite where nothing stops it
 */
export function freeTravelDeg(
  travel: (servoDeg: number) => number,
  mostDeg: number,
  backDeg: number,
): readonly [number, number] {
  const free = (way: 1 | -1) => {
    let peak = travel(0);
    for (let deg = 0; deg <= mostDeg + 0.125; deg += 0.25) {
      const now = travel(way * deg);
      if (Number.isNaN(now) || way * (now - peak) < -backDeg) return deg;
      if (way * (now - peak) > 0) peak = now;
    }
    return Infinity;
  };
  return [-free(-1), free(1)];
}
