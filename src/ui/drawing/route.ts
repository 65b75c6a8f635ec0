export interface Box {
  left: number;
  right: number;
  top: number;
  bottom: number;
}

export type Point = readonly [x: number, y: number];

/** How near a lead may pass by what it is not tied to, in pixels. */
const CLEAR = 3;
const STEP = 4;

const hits = (x: number, from: number, to: number, box: Box): boolean =>
  x > box.left - CLEAR &&
  x < box.right + CLEAR &&
  to > box.top - CLEAR &&
  from < box.bottom + CLEAR;

/**
 * A lead that hangs down from a point and ends at a box, round everything else: along a lane, down beside
 * the other boxes, and into the box from above or from its side.
 * @param laneY where it runs sideways, above all boxes
 * @param avoid boxes it must not cross
 */
export function routeDown(from: Point, to: Box, avoid: readonly Box[], laneY: number): Point[] {
  const middle = (to.left + to.right) / 2;
  const free = (x: number, end: number) => !avoid.some((box) => hits(x, laneY, end, box));
  const [x1, y1] = from;
  const start: Point[] = [from, [x1, laneY]];
  if (free(middle, to.top)) return [...start, [middle, laneY], [middle, to.top]];
  const level = (to.top + to.bottom) / 2;
  const half = (to.right - to.left) / 2;
  for (let away = half + STEP; away < 10 * half; away += STEP) {
    // The side it comes from is the shorter way.
    for (const side of x1 < middle ? [-1, 1] : [1, -1]) {
      const x = middle + side * away;
      if (free(x, level))
        return [...start, [x, laneY], [x, level], [side < 0 ? to.left : to.right, level]];
    }
  }
  return [from, [x1, y1], [middle, to.top]];
}

/** A path through points, its corners rounded. @param radius of a corner, in pixels */
export function rounded(points: readonly Point[], radius = 6): string {
  const [first, ...rest] = points;
  let path = `M${first!.map((v) => v.toFixed(1)).join(' ')}`;
  rest.forEach(([x, y], i) => {
    const next = rest[i + 1];
    if (!next) {
      path += `L${x.toFixed(1)} ${y.toFixed(1)}`;
      return;
    }
    const [px, py] = i === 0 ? first! : rest[i - 1]!;
    const before = towards([x, y], [px, py], radius);
    const after = towards([x, y], next, radius);
    path += `L${before.map((v) => v.toFixed(1)).join(' ')}Q${x.toFixed(1)} ${y.toFixed(1)} ${after.map((v) => v.toFixed(1)).join(' ')}`;
  });
  return path;
}

/** The point so far from one towards another, half the way at most. */
function towards([x, y]: Point, [tx, ty]: Point, by: number): Point {
  const length = Math.hypot(tx - x, ty - y);
  const share = length === 0 ? 0 : Math.min(by, length / 2) / length;
  return [x + (tx - x) * share, y + (ty - y) * share];
}
