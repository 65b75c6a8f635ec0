'use client';

import { useRef, useState } from 'react';
import type { Shape } from '@/core/setup';

const SIZE = 200;
/** What is drawn of it either way; beyond stands at the edge. */
const MOST_PCT = 125;

const xOf = (pct: number) =>
  ((Math.max(-MOST_PCT, Math.min(MOST_PCT, pct)) / MOST_PCT + 1) * SIZE) / 2;
const yOf = (pct: number) => SIZE - xOf(pct);
const pctOf = (share: number) => Math.round((share * 2 - 1) * MOST_PCT);

type Points = Shape['points'];

/** A point can go no further than its neighbours, or they would change places. */
function moved(points: Points, i: number, inPct: number, outPct: number): Points {
  const least = i > 0 ? points[i - 1]!.inPct + 1 : -200;
  const most = i < points.length - 1 ? points[i + 1]!.inPct - 1 : 200;
  return points.with(i, {
    inPct: Math.max(least, Math.min(most, inPct)),
    outPct: Math.max(-200, Math.min(200, outPct)),
  });
}

/** A shape drawn: its points are pulled, or moved with the arrow keys. */
export function ShapeDrawing({
  name,
  points,
  onPut,
}: {
  name: string;
  points: Points;
  onPut: (points: Points, at: number) => void;
}) {
  const ground = useRef<SVGSVGElement>(null);
  const [held, setHeld] = useState<{ at: number; points: Points }>();
  const shown = held?.points ?? points;
  const path = [
    `M0 ${yOf(shown[0]!.outPct)}`,
    ...shown.map((p) => `L${xOf(p.inPct)} ${yOf(p.outPct)}`),
    `L${SIZE} ${yOf(shown.at(-1)!.outPct)}`,
  ].join('');
  const pull = (e: React.PointerEvent) => {
    if (!held) return;
    const box = ground.current!.getBoundingClientRect();
    const inPct = pctOf((e.clientX - box.left) / box.width);
    const outPct = pctOf(1 - (e.clientY - box.top) / box.height);
    setHeld({ at: held.at, points: moved(held.points, held.at, inPct, outPct) });
  };
  return (
    <svg
      ref={ground}
      width={SIZE}
      height={SIZE}
      viewBox={`0 0 ${SIZE} ${SIZE}`}
      className="touch-none border border-(--card-edge) bg-(--card)"
      role="group"
      aria-label={`${name}, drawn`}
    >
      <path
        d={`M0 ${SIZE / 2}H${SIZE}M${SIZE / 2} 0V${SIZE}`}
        stroke="var(--card-edge)"
        strokeWidth={1}
      />
      <path d={path} fill="none" stroke="var(--accent)" strokeWidth={2.5} />
      {shown.map((p, i) => (
        <circle
          key={i}
          cx={xOf(p.inPct)}
          cy={yOf(p.outPct)}
          r={8}
          fill="var(--ink)"
          className="cursor-grab focus-visible:stroke-(--focus) focus-visible:stroke-3"
          tabIndex={0}
          role="slider"
          aria-label={`${name}: point ${i + 1}`}
          aria-valuenow={p.outPct}
          aria-valuemin={-200}
          aria-valuemax={200}
          aria-valuetext={`${p.inPct} % in, ${p.outPct} % out`}
          onPointerDown={(e) => {
            e.currentTarget.setPointerCapture(e.pointerId);
            setHeld({ at: i, points });
          }}
          onPointerMove={pull}
          onPointerUp={() => {
            if (held && held.points !== points) onPut(held.points, i);
            setHeld(undefined);
          }}
          onPointerCancel={() => setHeld(undefined)}
          onKeyDown={(e) => {
            const by = e.shiftKey ? 10 : 1;
            const [dx, dy] =
              {
                ArrowLeft: [-by, 0],
                ArrowRight: [by, 0],
                ArrowUp: [0, by],
                ArrowDown: [0, -by],
              }[e.key] ?? [];
            if (dx === undefined || dy === undefined) return;
            e.preventDefault();
            onPut(moved(points, i, p.inPct + dx, p.outPct + dy), i);
          }}
        />
      ))}
    </svg>
  );
}
