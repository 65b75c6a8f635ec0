import { isUpright } from '../chain';
import { AXES, type Axis, type Place, type Sense, type Surface, type SurfaceRole } from '../setup';
import { placeOf, type Drawn, type Placed } from './place';

/** Millimetres in ISO 1151-1 body axes: x forward, y right, z down. */
export type Vector = readonly [x: number, y: number, z: number];

/** Turning moment of a part about each axis for one unit of force, in millimetres: roll right, nose up, nose right positive. */
export type Arms = Record<Axis, number>;

/**
 * For which axes a part is there, by what it is called: a side effect is real and is nobody's purpose (half a V
 * rolls the model as well, and so does a rudder above the balance point).
 */
const WORKS_FOR: Readonly<Record<SurfaceRole, readonly Axis[]>> = {
  aileron: ['roll'],
  flaperon: ['roll'],
  elevator: ['pitch'],
  rudder: ['yaw'],
  wheel: ['yaw'],
  elevon: ['roll', 'pitch'],
  ruddervator: ['pitch', 'yaw'],
  flap: [],
  gear: [],
  brake: [],
};

/** Which way the hinge runs from its inner end to its outer one. */
export function spanwise({ tiltDeg, rightMm }: Place, side: Surface['side']): Vector {
  const out = side === 'left' || (side === 'centre' && rightMm < 0) ? -1 : 1;
  const tilt = (tiltDeg * Math.PI) / 180;
  return [0, out * Math.cos(tilt), -Math.sin(tilt)];
}

const cross = (a: Vector, b: Vector): Vector => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];

/**
 * The directed hinge: a right-handed turn about it carries the trailing edge the way that counts as positive,
 * down, or left for what stands upright; of a wheel its front to the left.
 */
export function hingeOf(place: Place, surface: Pick<Surface, 'role' | 'side'>): Vector {
  const along = spanwise(place, surface.side);
  const goes = cross(along, edgeOf(surface));
  const positive = isUpright(surface) ? -goes[1] : goes[2];
  return positive >= 0 ? along : [-along[0], -along[1], -along[2]];
}

/** Where, from the hinge, the edge lies that shows the movement: a trailing edge behind it, the front of a wheel ahead of it. */
const edgeOf = ({ role }: Pick<Surface, 'role'>): Vector =>
  role === 'wheel' ? [1, 0, 0] : [-1, 0, 0];

/**
 * Where a part pushes the model when it moves its positive way, as a unit vector: air and water opposite to where
 * the trailing edge goes, a tyre where its front points.
 */
export function pushOf(place: Place, surface: Pick<Surface, 'role' | 'side'>): Vector {
  const goes = cross(hingeOf(place, surface), edgeOf(surface));
  return surface.role === 'wheel' ? goes : [-goes[0] || 0, -goes[1] || 0, -goes[2] || 0];
}

/** What a part does when it moves its positive way, as r × F about the balance point (mechanics, no source). */
export function armsOf(airframe: Drawn, surface: Placed): Arms {
  const place = placeOf(airframe, surface);
  const at: Vector = [place.forwardMm, place.rightMm, place.downMm];
  const [roll, pitch, yaw] = cross(at, pushOf(place, surface));
  return { roll, pitch, yaw };
}

/** The sign of the turning moment a part is there for, where it moves its positive way. */
export type Authority = Partial<Record<Axis, Sense>>;

/** An arm shorter than this turns nothing. */
const LEAST_ARM_MM = 1;

/**
 * Which way each part turns the model. Both what a stick should do and what a correction should do follow
 * from it: a stick asks for a moment, a correction opposes a rotation. A left aileron that goes down rolls the
 * model right, an elevator ahead of the wing that goes down lifts the nose.
 */
export function authority(airframe: Drawn, surface: Placed): Authority {
  const arms = armsOf(airframe, surface);
  const works = WORKS_FOR[surface.role];
  return Object.fromEntries(
    AXES.filter((axis) => works.includes(axis) && Math.abs(arms[axis]) >= LEAST_ARM_MM).map(
      (axis) => [axis, arms[axis] > 0 ? 1 : -1],
    ),
  );
}

/** Axes a part is there for and does nothing about where it is. */
export const idleAxes = (airframe: Drawn, surface: Placed): Axis[] =>
  WORKS_FOR[surface.role].filter((axis) => authority(airframe, surface)[axis] === undefined);
