'use client';

import { useMemo } from 'react';
import type { Airframe } from '@/core/setup';
import { apply, eulerMatrix, multiply, type Matrix3 } from '@/core/space';
import { deflect, shapeOf, stillQuads, type Point } from './shape';

/** Seen from behind and above. */
const EYE_PITCH_DEG = 28;

/** A point of the model as the eye has it: x to the right, y down, depth away from the eye. */
export const seenFrom = (
  asideDeg: number,
  [roll, pitch, yaw]: readonly [number, number, number],
): ((p: Point) => { x: number; y: number; depth: number }) => {
  const view: Matrix3 = multiply(
    eulerMatrix(0, EYE_PITCH_DEG, asideDeg),
    eulerMatrix(roll, pitch, yaw),
  );
  return (p) => {
    const [x, y, z] = apply(view, p);
    return { x: y, y: z, depth: x };
  };
};

interface Box {
  x: number;
  y: number;
  w: number;
  h: number;
}

/** A picture twice as wide as high, round a place. */
const roundOf = ({ x, y }: { x: number; y: number }, half: number): Box => ({
  x: x - half,
  y: y - half / 2,
  w: 2 * half,
  h: half,
});

/** Room round what is asked about, and how much of the whole is shown at the least. */
const MARGIN = 1.35;
const LEAST = 0.5;

/** The part of the whole picture that shows some points in every view, in the shape of the whole. */
export function framed(
  points: readonly Point[],
  views: readonly ((p: Point) => { x: number; y: number })[],
  whole: Box,
): Box {
  const seen = views.flatMap((flat) => points.map(flat));
  if (seen.length === 0) return whole;
  const xs = seen.map((p) => p.x);
  const ys = seen.map((p) => p.y);
  const [left, right, top, low] = [
    Math.min(...xs),
    Math.max(...xs),
    Math.min(...ys),
    Math.max(...ys),
  ];
  const share = Math.max(
    LEAST,
    (MARGIN * (right - left)) / whole.w,
    (MARGIN * (low - top)) / whole.h,
  );
  const [w, h] = [whole.w * share, whole.h * share];
  return { x: (left + right - w) / 2, y: (top + low - h) / 2, w, h };
}

/** The model as plain faces on paper: light, and there where no 3D is to be had. */
export function PlainModel({
  airframe,
  attitudeDeg,
  surfaceDeg,
  marked = () => false,
  asideDeg = 0,
  fit = false,
  frame,
  near,
  children,
}: {
  airframe: Airframe;
  attitudeDeg: readonly [roll: number, pitch: number, yaw: number];
  /** Deflection of each surface, in the airframe's order; none leaves them in line. */
  surfaceDeg?: readonly number[];
  marked?: (surfaceId: string) => boolean;
  /** The eye a little to the side, for surfaces that stand on edge. */
  asideDeg?: number;
  /** Drawn into whatever room there is. */
  fit?: boolean;
  /** Framed on the marked surfaces, which stay in the picture in all of these attitudes. */
  frame?: readonly (readonly [roll: number, pitch: number, yaw: number])[];
  /** Framed on a place instead, this many millimetres to each side of it; the model is faint round it. */
  near?: { at: Point; halfMm: number };
  /** Drawn over it, in millimetres as the eye has them (`seenFrom`). */
  children?: React.ReactNode;
}) {
  const shape = useMemo(() => shapeOf(airframe), [airframe]);
  const flat = seenFrom(asideDeg, attitudeDeg);
  const faces = [
    ...stillQuads(shape).map((quad) => ({
      points: quad.map(flat),
      mark: false,
      moves: false,
      surface: undefined,
    })),
    ...shape.moving.map((part) => {
      const { surface, quad } = part;
      const at = airframe.surfaces.findIndex((s) => s.id === surface.id);
      const turned = surfaceDeg ? deflect(part, surfaceDeg[at] ?? 0) : quad;
      return {
        points: turned.map(flat),
        mark: marked(surface.id),
        moves: true,
        surface: surface.id,
      };
    }),
    ...shape.body.slice(1).map((b, i) => {
      const a = shape.body[i]!;
      const points = [
        [a.x, -a.half, 0],
        [a.x, 0, a.top],
        [a.x, a.half, 0],
        [b.x, b.half, 0],
        [b.x, 0, b.top],
        [b.x, -b.half, 0],
      ] as const;
      return { points: points.map(flat), mark: false, moves: false, surface: undefined };
    }),
  ];
  const depth = (f: (typeof faces)[number]) =>
    f.points.reduce((sum, p) => sum + p.depth, 0) / f.points.length;
  const r = shape.radiusMm * 1.02;
  // On edge it is taller than it is level: where it has room of its own it is drawn smaller, never cut off.
  const half = Math.max(
    r * 0.62,
    ...(fit ? faces.flatMap((f) => f.points.map((p) => 1.03 * Math.abs(p.y))) : []),
  );
  const whole: Box = { x: -r, y: -half, w: 2 * r, h: 2 * half };
  const box = near
    ? roundOf(seenFrom(asideDeg, attitudeDeg)(near.at), near.halfMm)
    : frame
      ? framed(
          shape.moving.filter((m) => marked(m.surface.id)).flatMap((m) => [...m.quad]),
          frame.map((attitude) => seenFrom(asideDeg, attitude)),
          whole,
        )
      : whole;
  return (
    <svg
      viewBox={`${box.x} ${box.y} ${box.w} ${box.h}`}
      className={fit ? 'h-full w-full' : 'w-full'}
      aria-hidden
      data-picture="plain"
    >
      {faces
        .toSorted((a, b) => depth(b) - depth(a))
        .map((face, i) => (
          <polygon
            key={i}
            points={face.points.map((p) => `${p.x.toFixed(0)},${p.y.toFixed(0)}`).join(' ')}
            fill={face.mark ? 'var(--accent)' : face.moves ? 'var(--card-edge)' : 'var(--shade)'}
            stroke="var(--ink)"
            strokeWidth={near ? near.halfMm / 140 : face.mark ? r / 60 : r / 140}
            opacity={near && 0.45}
            strokeLinejoin="round"
            data-surface={face.surface}
          />
        ))}
      {children}
    </svg>
  );
}
