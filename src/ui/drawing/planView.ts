import type { Airframe, Motor, Surface } from '@/core/setup';
import { shapeOf, type Point, type Quad } from './shape';

/** The model from above, nose up, as outlines for a drawing in millimetres. */
export interface PlanView {
  /** What is seen: left, top, width, height. */
  box: [number, number, number, number];
  strokeMm: number;
  /** Where the body begins, on the drawing. */
  noseMm: number;
  body: string;
  fixed: string[];
  /** On top of the body. */
  over: string[];
  /** Each part once, whatever it is made of. */
  moving: { surface: Surface; outlines: string[] }[];
  motors: { motor: Motor; outlines: string[] }[];
}

const outlineOf = (list: readonly Point[]) =>
  list.map(([x, y]) => `${y.toFixed(0)},${(-x).toFixed(0)}`).join(' ');

const reach = (values: readonly number[]) => Math.max(...values) - Math.min(...values);

export function planView(airframe: Airframe): PlanView {
  const shape = shapeOf(airframe);
  const left = shape.body.map((s): Point => [s.x, -s.half, 0]);
  const right = [...shape.body].reverse().map((s): Point => [s.x, s.half, 0]);
  const all = [
    ...shape.fixed.flat(),
    ...shape.moving.flatMap((m) => [...m.quad]),
    ...shape.motors.flatMap((m) => m.quads.flat()),
    ...left,
    ...right,
  ];
  const across = all.map((p) => p[1]);
  const along = all.map((p) => -p[0]);
  const strokeMm = shape.radiusMm / 110;
  const pad = shape.radiusMm * 0.04;
  return {
    box: [
      Math.min(...across) - pad,
      Math.min(...along) - pad,
      reach(across) + 2 * pad,
      reach(along) + 2 * pad,
    ],
    strokeMm,
    noseMm: Math.min(...left.map((p) => -p[0])),
    body: outlineOf([...left, ...right]),
    fixed: shape.fixed.map(outlineOf),
    over: shape.over.map(outlineOf),
    motors: shape.motors.map(({ motor, quads }) => ({ motor, outlines: quads.map(outlineOf) })),
    moving: airframe.surfaces.flatMap((surface) => {
      const own = shape.moving.filter((m) => m.surface === surface);
      const outlines = own.map(({ quad }) => outlineOf(widened(quad, 3 * strokeMm)));
      return own.length > 0 ? [{ surface, outlines }] : [];
    }),
  };
}

/** What stands upright is a line from above: made wide enough to be seen and pressed. */
function widened(quad: Quad, half: number): readonly Point[] {
  const across = quad.map((p) => p[1]);
  if (reach(across) > half) return quad;
  const along = quad.map((p) => p[0]);
  const [y, front, back] = [across[0]!, Math.max(...along), Math.min(...along)];
  return [
    [front, y - half, 0],
    [front, y + half, 0],
    [back, y + half, 0],
    [back, y - half, 0],
  ];
}
