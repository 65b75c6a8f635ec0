'use client';

import type { PinsAt } from '@/core/calibration';
import type { Airframe } from '@/core/setup';
import { apply, eulerMatrix, multiply, type Matrix3 } from '@/core/space';
import { PlainModel } from '../drawing/PlainModel';

type Point = readonly [number, number, number];

const PINS: Record<PinsAt, Point> = {
  'arrow-end': [1, 0, 0],
  'far-end': [-1, 0, 0],
  left: [0, -1, 0],
  right: [0, 1, 0],
};

/** The box's corners in its own axes: arrow along x, label on the face that z points away from. */
const HALF = { x: 0.2, y: 0.14, z: 0.07 };
const FACES: readonly { corners: readonly Point[]; label: boolean }[] = [
  face([1, 1, -1], [1, -1, -1], [-1, -1, -1], [-1, 1, -1], true),
  face([1, 1, 1], [1, -1, 1], [-1, -1, 1], [-1, 1, 1]),
  face([1, 1, 1], [1, -1, 1], [1, -1, -1], [1, 1, -1]),
  face([-1, 1, 1], [-1, -1, 1], [-1, -1, -1], [-1, 1, -1]),
  face([1, 1, 1], [-1, 1, 1], [-1, 1, -1], [1, 1, -1]),
  face([1, -1, 1], [-1, -1, 1], [-1, -1, -1], [1, -1, -1]),
];

function face(a: Point, b: Point, c: Point, d: Point, label = false) {
  const corners = [a, b, c, d].map(([x, y, z]): Point => [x * HALF.x, y * HALF.y, z * HALF.z]);
  return { corners, label };
}

/** The unit over its model without 3D: where its arrow, its label and its pins are. */
export function PlainSeat({
  airframe,
  rotation,
  pinsAt,
}: {
  airframe: Airframe;
  rotation: Matrix3;
  pinsAt: PinsAt;
}) {
  const view = multiply(eulerMatrix(0, 28, 24), rotation);
  const flat = (p: Point) => {
    const [x, y, z] = apply(view, p);
    return { x: y, y: z - 0.28, depth: x + z * 0.01 };
  };
  const drawn = FACES.map(({ corners, label }) => ({ points: corners.map(flat), label })).toSorted(
    (a, b) => sum(b.points) - sum(a.points),
  );
  const line = (points: readonly { x: number; y: number }[]) =>
    points.map((p) => `${p.x.toFixed(3)},${p.y.toFixed(3)}`).join(' ');
  const [px, py] = PINS[pinsAt];
  const pins = [-1, -0.5, 0, 0.5, 1].map((t) => {
    const at = (out: number): Point => [
      px * HALF.x * out + (px === 0 ? t * HALF.x * 0.8 : 0),
      py * HALF.y * out + (py === 0 ? t * HALF.y * 0.8 : 0),
      0,
    ];
    return [flat(at(1)), flat(at(1.4))] as const;
  });
  const arrow = (
    [
      [0.9, 0],
      [0.3, 0.45],
      [0.3, 0.15],
      [-0.7, 0.15],
      [-0.7, -0.15],
      [0.3, -0.15],
      [0.3, -0.45],
    ] as const
  ).map(([x, y]) => flat([x * HALF.x, y * HALF.y, -HALF.z]));
  const labelSeen = drawn.findIndex((f) => f.label) > 2;
  return (
    <PlainModel airframe={airframe} attitudeDeg={[0, 0, 24]} fit>
      {pins.map(([a, b], i) => (
        <line
          key={i}
          x1={a.x}
          y1={a.y}
          x2={b.x}
          y2={b.y}
          stroke="var(--focus)"
          strokeWidth={0.02}
        />
      ))}
      {drawn.map((f, i) => (
        <polygon
          key={i}
          points={line(f.points)}
          fill={f.label ? 'var(--card)' : 'var(--ink)'}
          stroke="var(--ink)"
          strokeWidth={0.008}
          strokeLinejoin="round"
        />
      ))}
      {labelSeen && <polygon points={line(arrow)} fill="var(--accent)" />}
    </PlainModel>
  );
}

const sum = (points: readonly { depth: number }[]) => points.reduce((n, p) => n + p.depth, 0);
