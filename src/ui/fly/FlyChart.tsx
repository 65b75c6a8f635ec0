'use client';

import { useMemo } from 'react';
import { modeWords } from '@/core/chain';
import type { Point } from '@/core/motion';
import type { Mode, Setup } from '@/core/setup';

const WIDE = 600;
const EDGE = 4;
const ATTITUDE = { high: 92, most: 180 } as const;
const SURFACES = { high: 52, most: 35 } as const;

/** Attitude, surfaces and mode over time, with a line where the replay is; pressed to go there. */
export function FlyChart({
  unit,
  points,
  other,
  lengthS,
  timeS,
  atS,
  onTo,
}: {
  unit: Setup['unit'];
  points: readonly Point[];
  /** Another flight of the same scenario: its bank, thin. */
  other: readonly Point[];
  lengthS: number;
  timeS: number;
  /** When something was done. */
  atS?: number;
  /** Goes to a moment. */
  onTo?: (s: number) => void;
}) {
  const x = (s: number) => (WIDE * s) / Math.max(0.1, lengthS);
  const lines = useMemo(() => {
    const at = (s: number) => (WIDE * s) / Math.max(0.1, lengthS);
    const line = (
      list: readonly Point[],
      { high, most }: typeof ATTITUDE | typeof SURFACES,
      value: (p: Point) => number,
    ) => {
      let text = '';
      let before = 0;
      list.forEach((p, i) => {
        const deg = Math.max(-most, Math.min(most, value(p)));
        // From one side of upside down to the other is no movement.
        const jumps = i > 0 && Math.abs(deg - before) > 180;
        before = deg;
        const y = EDGE + ((high - 2 * EDGE) * (most - deg)) / (2 * most);
        text += `${i === 0 || jumps ? 'M' : 'L'}${at(p.timeS).toFixed(1)} ${y.toFixed(1)}`;
      });
      return text;
    };
    return {
      bank: line(points, ATTITUDE, (p) => p.rollDeg),
      nose: line(points, ATTITUDE, (p) => p.pitchDeg),
      other: line(other, ATTITUDE, (p) => p.rollDeg),
      surfaces: (points[0]?.surfaceDeg ?? []).map((_, i) =>
        line(points, SURFACES, (p) => p.surfaceDeg[i]!),
      ),
      modes: modesOf(points, lengthS),
    };
  }, [points, other, lengthS]);
  const go = (e: React.PointerEvent) => {
    const box = e.currentTarget.getBoundingClientRect();
    onTo?.((lengthS * (e.clientX - box.left)) / box.width);
  };
  const moments = (
    <>
      {atS !== undefined && <At x={x(atS)} stroke="var(--accent)" dashes="5 4" />}
      <At x={x(timeS)} stroke="var(--ink)" />
    </>
  );
  return (
    <figure className={`card p-2 ${onTo ? 'cursor-pointer' : ''}`}>
      <figcaption className="text-soft flex flex-wrap justify-between gap-x-4 text-sm">
        <span>
          <Key width={2} /> bank, <Key width={1} /> nose, −180° to 180°
        </span>
        <span>{lengthS.toFixed(0)} s</span>
      </figcaption>
      <Row high={ATTITUDE.high} className="h-16" onPointerDown={go} grid={[-90, 0, 90]} most={180}>
        <Line d={lines.other} stroke="var(--ink-soft)" dashes="6 4" />
        <Line d={lines.nose} stroke="var(--ink)" />
        <Line d={lines.bank} stroke="var(--accent)" width={2} />
        {moments}
      </Row>
      <p className="text-soft mt-1 text-sm">surfaces, −35° to 35°</p>
      <Row high={SURFACES.high} className="h-10" onPointerDown={go} grid={[0]} most={35}>
        {lines.surfaces.map((d, i) => (
          <Line key={i} d={d} stroke="var(--accent)" />
        ))}
        {moments}
      </Row>
      <ol className="mt-1 flex gap-px text-sm" aria-label="Mode over time">
        {lines.modes.map(({ mode, fromS, share }) => (
          <li
            key={fromS}
            className="min-w-0 truncate bg-(--shade) px-1"
            style={{ width: `${100 * share}%` }}
          >
            {modeWords(unit, mode)}
          </li>
        ))}
      </ol>
    </figure>
  );
}

/** Modes one after another, each with its share of the time. */
function modesOf(points: readonly Point[], lengthS: number) {
  const spans: { mode: Mode; fromS: number; share: number }[] = [];
  for (const { mode, timeS } of points) {
    const last = spans.at(-1);
    if (last?.mode !== mode) spans.push({ mode: mode as Mode, fromS: timeS, share: 0 });
  }
  return spans.map((span, i) => ({
    ...span,
    share: ((spans[i + 1]?.fromS ?? lengthS) - span.fromS) / Math.max(0.1, lengthS),
  }));
}

function Row({
  high,
  className,
  grid,
  most,
  onPointerDown,
  children,
}: {
  high: number;
  className: string;
  /** Values with a line across. */
  grid: readonly number[];
  most: number;
  onPointerDown: (e: React.PointerEvent) => void;
  children: React.ReactNode;
}) {
  const y = (value: number) => EDGE + ((high - 2 * EDGE) * (most - value)) / (2 * most);
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${high}`}
      className={`w-full ${className}`}
      preserveAspectRatio="none"
      aria-hidden
      onPointerDown={onPointerDown}
    >
      {grid.map((value) => (
        <line
          key={value}
          x1={0}
          x2={WIDE}
          y1={y(value)}
          y2={y(value)}
          stroke="var(--card-edge)"
          strokeDasharray={value === 0 ? undefined : '3 4'}
          vectorEffect="non-scaling-stroke"
        />
      ))}
      {children}
    </svg>
  );
}

const Line = ({
  d,
  stroke,
  width,
  dashes,
}: {
  d: string;
  stroke: string;
  width?: number;
  dashes?: string;
}) => (
  <path
    d={d}
    fill="none"
    stroke={stroke}
    strokeWidth={width}
    strokeDasharray={dashes}
    vectorEffect="non-scaling-stroke"
  />
);

/** How a line is drawn, beside its word. */
const Key = ({ width }: { width: 1 | 2 }) => (
  <svg viewBox="0 0 16 6" className="inline h-1.5 w-4" aria-hidden>
    <path d="M0 3H16" stroke={width === 2 ? 'var(--accent)' : 'var(--ink)'} strokeWidth={width} />
  </svg>
);

/** A moment, as an upright line. */
const At = ({ x, stroke, dashes }: { x: number; stroke: string; dashes?: string }) => (
  <line
    x1={x}
    x2={x}
    y1={0}
    y2="100%"
    stroke={stroke}
    strokeWidth={1.5}
    strokeDasharray={dashes}
    vectorEffect="non-scaling-stroke"
  />
);
