'use client';

import { useState } from 'react';
import type { SurfaceThrows } from '@/core/chain';
import { edgeMm } from '@/core/linkage';
import type { ThrowEnd } from '@/core/plan';
import type { Surface } from '@/core/setup';
import { Measured } from '../measure/Measured';

const WIDTH = 240;
const REACH = 104;
/** How far the arc of a second stick lies inside that of the first. */
const INSIDE = 16;
const MOST_DEG = 75;
/** Room to pull an end further. */
const ROOM_DEG = 12;
const RAD = Math.PI / 180;

/**
 * One surface from the side (from above, where it stands upright), nose to the left: in line, and
 * at both ends of what moves it. An end is pulled along its arc.
 */
export function SurfaceDrawing({
  surface,
  rows,
  onPull,
}: {
  surface: Surface;
  rows: readonly SurfaceThrows[];
  onPull: (row: SurfaceThrows, end: ThrowEnd, mm: number) => void;
}) {
  const [pulled, setPulled] = useState<{ row: number; end: ThrowEnd; deg: number }>();
  /** A wheel turns about its middle and is measured at its front edge; all else at the trailing edge. */
  const front = surface.role === 'wheel';
  const along = front ? -1 : 1;
  const widest = Math.max(
    ...rows.flatMap((r) => [r.low.surfaceDeg, r.high.surfaceDeg]).map((d) => Math.abs(d) || 0),
  );
  const height = 2 * (REACH * Math.sin(Math.min(MOST_DEG, widest + ROOM_DEG) * RAD) + 14);
  const hinge = { x: front ? 128 : 104, y: height / 2 };
  const tip = (deg: number, reach: number) => ({
    x: hinge.x + along * reach * Math.cos(deg * RAD),
    y: hinge.y + reach * Math.sin(deg * RAD),
  });
  const reachOf = (row: number) => REACH - row * INSIDE;
  const degOf = (row: number, end: ThrowEnd) =>
    pulled?.row === row && pulled.end === end ? pulled.deg : rows[row]![end].surfaceDeg;
  const degAt = (e: React.PointerEvent<SVGElement>, side: number) => {
    const box = e.currentTarget.ownerSVGElement!.getBoundingClientRect();
    const x = ((e.clientX - box.left) / box.width) * WIDTH - hinge.x;
    const y = ((e.clientY - box.top) / box.height) * height - hinge.y;
    const deg = Math.atan2(y, along * x) / RAD;
    // An end stays on its own side of the line.
    return side * Math.min(MOST_DEG, Math.max(0, side * deg));
  };
  const part = (deg: number) => {
    const end = tip(deg, REACH);
    const back = front ? tip(deg + 180, REACH * 0.6) : hinge;
    return `M${back.x} ${back.y}L${end.x} ${end.y}`;
  };
  const centre = rows[0]!.centre.surfaceDeg;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${height}`}
      className="h-auto w-full touch-none select-none"
      aria-hidden
    >
      <line
        x1={8}
        x2={WIDTH - 8}
        y1={hinge.y}
        y2={hinge.y}
        stroke="var(--line)"
        strokeDasharray="3 4"
      />
      {!front && (
        <path
          d={`M8 ${hinge.y}Q 20 ${hinge.y - 16} ${hinge.x} ${hinge.y - 7}L${hinge.x} ${hinge.y + 7}Q 20 ${hinge.y + 8} 8 ${hinge.y}Z`}
          fill="var(--shade)"
          stroke="var(--ink)"
        />
      )}
      {rows.map((row, i) => {
        const low = degOf(i, 'low');
        const high = degOf(i, 'high');
        if (Number.isNaN(low) || Number.isNaN(high)) return null;
        const reach = reachOf(i);
        const [a, b] = [tip(low, reach), tip(high, reach)];
        const sweep = along * (high - low) > 0 ? 1 : 0;
        return (
          <g key={row.control}>
            {i === 0 && (
              <path
                d={part(low) + part(high)}
                stroke="var(--line)"
                strokeWidth={front ? 14 : 8}
                strokeLinecap="round"
                opacity={0.35}
              />
            )}
            <path
              d={`M${a.x} ${a.y}A${reach} ${reach} 0 0 ${sweep} ${b.x} ${b.y}`}
              fill="none"
              stroke="var(--accent)"
              strokeWidth={2}
              strokeDasharray={i === 0 ? undefined : '5 4'}
            />
          </g>
        );
      })}
      <path
        d={part(Number.isNaN(centre) ? 0 : centre)}
        stroke="var(--ink)"
        strokeWidth={front ? 14 : 8}
        strokeLinecap="round"
      />
      <circle cx={hinge.x} cy={hinge.y} r={4} fill="var(--card)" stroke="var(--ink)" />
      {rows.flatMap((row, i) =>
        (['low', 'high'] as const).map((end) => {
          const deg = degOf(i, end);
          const side = Math.sign(row[end].surfaceDeg);
          if (Number.isNaN(deg) || side === 0) return null;
          const at = tip(deg, reachOf(i));
          return (
            <g
              key={`${row.control}-${end}`}
              className="cursor-grab active:cursor-grabbing"
              onPointerDown={(e) => {
                e.currentTarget.setPointerCapture(e.pointerId);
                setPulled({ row: i, end, deg });
              }}
              onPointerMove={(e) => {
                if (pulled?.row === i && pulled.end === end)
                  setPulled({ row: i, end, deg: degAt(e, side) });
              }}
              onPointerUp={() => {
                if (pulled && Math.abs(pulled.deg - row[end].surfaceDeg) > 0.2)
                  onPull(row, end, Math.abs(edgeMm(surface.chordMm, pulled.deg)));
                setPulled(undefined);
              }}
              onPointerCancel={() => setPulled(undefined)}
            >
              <circle cx={at.x} cy={at.y} r={20} fill="transparent" />
              <circle className="knob" cx={at.x} cy={at.y} r={7} fill="var(--accent)" />
            </g>
          );
        }),
      )}
      {pulled && (
        <text
          x={WIDTH - 8}
          y={height - 8}
          textAnchor="end"
          fontSize={15}
          fill="var(--ink)"
          className="font-num"
        >
          <Measured value={Math.abs(edgeMm(surface.chordMm, pulled.deg))} unit="mm" />
        </text>
      )}
    </svg>
  );
}
