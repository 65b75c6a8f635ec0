'use client';

import type { Point } from '@/core/motion';

const WIDE = 600;
const HIGH = 92;
const EDGE = 4;

/** Bank over time, with the other flight thin beside it and a line where the replay is; pressed to go there. */
export function FlyChart({
  points,
  other,
  lengthS,
  timeS,
  atS,
  onTo,
}: {
  points: readonly Point[];
  other: readonly Point[];
  lengthS: number;
  timeS: number;
  /** When something was done. */
  atS?: number;
  /** Goes to a moment. */
  onTo?: (s: number) => void;
}) {
  const x = (s: number) => (WIDE * s) / Math.max(0.1, lengthS);
  const y = (deg: number) => EDGE + ((HIGH - 2 * EDGE) * (180 - deg)) / 360;
  const line = (list: readonly Point[]) => {
    let text = '';
    list.forEach((p, i) => {
      // From one side of upside down to the other is no movement.
      const jumps = i > 0 && Math.abs(p.rollDeg - list[i - 1]!.rollDeg) > 180;
      text += `${i === 0 || jumps ? 'M' : 'L'}${x(p.timeS).toFixed(1)} ${y(p.rollDeg).toFixed(1)}`;
    });
    return text;
  };
  return (
    <figure className="card p-2">
      <figcaption className="text-soft flex justify-between text-sm">
        <span>bank over time</span>
        <span>{lengthS.toFixed(0)} s</span>
      </figcaption>
      <svg
        viewBox={`0 0 ${WIDE} ${HIGH}`}
        className={`h-16 w-full ${onTo ? 'cursor-pointer' : ''}`}
        preserveAspectRatio="none"
        aria-hidden
        onPointerDown={(e) => {
          const box = e.currentTarget.getBoundingClientRect();
          onTo?.((lengthS * (e.clientX - box.left)) / box.width);
        }}
      >
        {[-180, -90, 0, 90, 180].map((deg) => (
          <line
            key={deg}
            x1={0}
            x2={WIDE}
            y1={y(deg)}
            y2={y(deg)}
            stroke="var(--card-edge)"
            strokeDasharray={deg === 0 ? undefined : '3 4'}
            vectorEffect="non-scaling-stroke"
          />
        ))}
        {atS !== undefined && <At x={x(atS)} stroke="var(--accent)" dashes="5 4" />}
        <path
          d={line(other)}
          fill="none"
          stroke="var(--ink-soft)"
          strokeDasharray="6 4"
          vectorEffect="non-scaling-stroke"
        />
        <path
          d={line(points)}
          fill="none"
          stroke="var(--accent)"
          strokeWidth={2}
          vectorEffect="non-scaling-stroke"
        />
        <At x={x(timeS)} stroke="var(--ink)" />
      </svg>
    </figure>
  );
}

/** A moment, as an upright line. */
const At = ({ x, stroke, dashes }: { x: number; stroke: string; dashes?: string }) => (
  <line
    x1={x}
    x2={x}
    y1={0}
    y2={HIGH}
    stroke={stroke}
    strokeWidth={1.5}
    strokeDasharray={dashes}
    vectorEffect="non-scaling-stroke"
  />
);
