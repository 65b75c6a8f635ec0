/** Millimetres in body axes: x forward, y right, z down, from about the centre of gravity. */
export type Point = readonly [number, number, number];
/** Root leading, tip leading, tip trailing, root trailing. For a surface the leading edge is its hinge. */
export type Quad = readonly [Point, Point, Point, Point];

/** A cross-section of the body: where, half width, top and bottom. */
export interface Section {
  x: number;
  half: number;
  top: number;
  bottom: number;
}
