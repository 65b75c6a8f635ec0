'use client';

import { useMemo } from 'react';
import { isUpright } from '@/core/chain';
import type { Check } from '@/core/directions';
import { eulerMatrix, apply, multiply } from '@/core/space';
import { useModel } from '../frame/modelStore';
import { useSwing } from './useSwing';
import { shapeOf, type Point } from '../drawing/shape';

const TILT: Record<Check['way'], Record<Check['axis'], readonly [number, number, number]>> = {
  quick: { roll: [24, 0, 0], pitch: [0, 22, 0], yaw: [0, 0, 28] },
  held: { roll: [70, 0, 0], pitch: [0, 55, 0], yaw: [0, 0, 40] },
};
/** Where a stick stands at the end of a stick check, as seen on its gimbal. */
const STICK: Record<Check['axis'], readonly [number, number]> = {
  roll: [1, 0],
  pitch: [0, 1],
  yaw: [1, 0],
};

/** The model as its pilot sees it, moved as the check asks, the surface in question marked. */
export function MovementDrawing({ check, surfaceId }: { check: Check; surfaceId: string }) {
  const airframe = useModel((s) => s.setup.airframe);
  const shape = useMemo(() => shapeOf(airframe), [airframe]);
  const turned = check.kind === 'correction';
  const swing = useSwing(check.way);
  const [roll, pitch, yaw] = turned
    ? TILT[check.way][check.axis].map((deg) => deg * swing)
    : [0, 0, 0];
  // Seen from behind and above; a little from the side where the surface in question stands on edge.
  const asked = airframe.surfaces.find((s) => s.id === surfaceId);
  const aside = asked && isUpright(asked) ? 32 : 0;
  const view = multiply(eulerMatrix(0, 28, aside), eulerMatrix(roll!, pitch!, yaw!));
  const flat = (p: Point) => {
    const [x, y, z] = apply(view, p);
    return { x: y, y: z, depth: x };
  };
  const faces = [
    ...shape.fixed.map((quad) => ({ points: quad.map(flat), mark: false })),
    ...shape.moving.map(({ surface, quad }) => ({
      points: quad.map(flat),
      mark: surface.id === surfaceId,
    })),
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
      return { points: points.map(flat), mark: false };
    }),
  ];
  const depth = (f: (typeof faces)[number]) =>
    f.points.reduce((sum, p) => sum + p.depth, 0) / f.points.length;
  const r = shape.radiusMm * 1.02;
  return (
    <svg viewBox={`${-r} ${-r * 0.62} ${2 * r} ${1.24 * r}`} className="w-full" aria-hidden>
      {faces
        .toSorted((a, b) => depth(b) - depth(a))
        .map((face, i) => (
          <polygon
            key={i}
            points={face.points.map((p) => `${p.x.toFixed(0)},${p.y.toFixed(0)}`).join(' ')}
            fill={face.mark ? 'var(--accent)' : 'var(--shade)'}
            stroke="var(--ink)"
            strokeWidth={face.mark ? r / 60 : r / 140}
            strokeLinejoin="round"
          />
        ))}
      {!turned && (
        <g transform={`translate(${r * 0.72} ${r * 0.34}) scale(${r * 0.22})`}>
          <circle r={1} fill="var(--card)" stroke="var(--ink)" strokeWidth={0.06} />
          <line
            x2={STICK[check.axis][0] * swing * 0.75}
            y2={STICK[check.axis][1] * swing * 0.75}
            stroke="var(--ink)"
            strokeWidth={0.16}
            strokeLinecap="round"
          />
          <circle
            cx={STICK[check.axis][0] * swing * 0.75}
            cy={STICK[check.axis][1] * swing * 0.75}
            r={0.22}
            fill="var(--accent)"
          />
        </g>
      )}
    </svg>
  );
}
