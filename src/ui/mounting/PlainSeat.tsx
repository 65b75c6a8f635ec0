'use client';

import type { PinsAt } from '@/core/calibration';
import { kindOf, type Airframe, type Setup } from '@/core/setup';
import { apply, type Matrix3 } from '@/core/space';
import { PlainModel, seenFrom } from '../drawing/PlainModel';
import type { Point } from '../drawing/shape';

const PINS: Record<PinsAt, Point> = {
  'arrow-end': [1, 0, 0],
  'far-end': [-1, 0, 0],
  left: [0, -1, 0],
  right: [0, 1, 0],
};

/** Half of a unit in millimetres: arrow along x, label on the face that z points away from. Common practice, no source. */
const HALF = { x: 21, y: 14, z: 7 };
/** How much of the model is seen to each side of it. */
const HALF_VIEW_MM = 110;
/** The eye a little to the side, so that all three axes show. */
const ASIDE_DEG = 24;

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

/** The unit in its place, as large beside the model as such units are, the model faint round it: where its arrow, its label and its pins are. */
export function PlainSeat({
  airframe,
  positionMm,
  rotation,
  pinsAt,
}: {
  airframe: Airframe;
  positionMm: Setup['installation']['positionMm'];
  /** From the unit's axes to the model's; between two of the 24 while it is being turned. */
  rotation: Matrix3;
  pinsAt: PinsAt;
}) {
  const see = seenFrom(ASIDE_DEG, [0, 0, 0]);
  const at: Point = [positionMm.x, positionMm.y, positionMm.z];
  const flat = (p: Point) => {
    const [x, y, z] = apply(rotation, p);
    return see([x + at[0], y + at[1], z + at[2]]);
  };
  const drawn = FACES.map(({ corners, label }) => ({ points: corners.map(flat), label })).toSorted(
    (a, b) => sum(b.points) - sum(a.points),
  );
  const line = (points: readonly { x: number; y: number }[]) =>
    points.map((p) => `${p.x.toFixed(1)},${p.y.toFixed(1)}`).join(' ');
  const [px, py] = PINS[pinsAt];
  const pins = [-1, -0.5, 0, 0.5, 1].map((t) => {
    const end = (out: number): Point => [
      px * HALF.x * out + (px === 0 ? t * HALF.x * 0.8 : 0),
      py * HALF.y * out + (py === 0 ? t * HALF.y * 0.8 : 0),
      0,
    ];
    return [flat(end(1)), flat(end(1.4))] as const;
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
  // Where the front of the model is, for those who see only this much of it.
  const ahead = see([at[0] + HALF_VIEW_MM * 0.62, at[1], at[2]]);
  return (
    <PlainModel
      airframe={airframe}
      attitudeDeg={[0, 0, 0]}
      asideDeg={ASIDE_DEG}
      near={{ at, halfMm: HALF_VIEW_MM }}
      fit
    >
      <text x={ahead.x} y={ahead.y} fontSize={9} textAnchor="middle" fill="var(--ink-soft)">
        {kindOf(airframe).front}
      </text>
      {pins.map(([a, b], i) => (
        <line key={i} x1={a.x} y1={a.y} x2={b.x} y2={b.y} stroke="var(--focus)" strokeWidth={2} />
      ))}
      {drawn.map((f, i) => (
        <polygon
          key={i}
          points={line(f.points)}
          fill={f.label ? 'var(--card)' : 'var(--ink)'}
          stroke="var(--ink)"
          strokeWidth={0.8}
          strokeLinejoin="round"
        />
      ))}
      {labelSeen && <polygon points={line(arrow)} fill="var(--accent)" />}
    </PlainModel>
  );
}

const sum = (points: readonly { depth: number }[]) => points.reduce((n, p) => n + p.depth, 0);
