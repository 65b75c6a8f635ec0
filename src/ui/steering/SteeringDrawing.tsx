'use client';

import { carrierPivot, steeringJoints } from '@/core/linkage';
import type { Steering } from '@/core/setup';

const RAD = Math.PI / 180;

/** The front of the car from above, front up: knuckles, tie rods and what moves them. */
export function SteeringDrawing({ steering, servoDeg }: { steering: Steering; servoDeg: number }) {
  const sides = steeringJoints(steering, servoDeg);
  const wheel = { long: steering.kingpinMm * 0.42, wide: steering.kingpinMm * 0.17 };
  const wide = steering.kingpinMm * 1.5;
  const high = steering.kingpinMm * 0.95;
  const at = ({ x, y }: { x: number; y: number }) => ({ x: y, y: -x });
  const pins = sides.map((s) => at(s.kingpin));
  const [leftInner, rightInner] = sides.map((s) => at(s.inner)) as [
    { x: number; y: number },
    { x: number; y: number },
  ];
  const carrier = { x: (leftInner.x + rightInner.x) / 2, y: (leftInner.y + rightInner.y) / 2 };
  const turnsAbout = carrierPivot(steering);
  const pivot = turnsAbout && at(turnsAbout);
  return (
    <svg
      viewBox={`${-wide / 2} ${-high * 0.45} ${wide} ${high}`}
      role="img"
      aria-label={`Left wheel ${sides[0].wheelDeg.toFixed(0)}°, right wheel ${sides[1].wheelDeg.toFixed(0)}°, left positive`}
      className="mx-auto h-auto max-h-80 w-full"
    >
      <line
        x1={pins[0]!.x}
        y1={pins[0]!.y}
        x2={pins[1]!.x}
        y2={pins[1]!.y}
        stroke="var(--line)"
        strokeWidth={2}
        strokeDasharray="4 4"
      />
      {!pivot ? (
        <line
          x1={leftInner.x - 6}
          y1={leftInner.y}
          x2={rightInner.x + 6}
          y2={rightInner.y}
          stroke="var(--ink)"
          strokeWidth={5}
        />
      ) : (
        <>
          <line
            x1={pivot.x}
            y1={pivot.y}
            x2={carrier.x}
            y2={carrier.y}
            stroke="var(--ink)"
            strokeWidth={5}
            strokeLinecap="round"
          />
          <line
            x1={leftInner.x}
            y1={leftInner.y}
            x2={rightInner.x}
            y2={rightInner.y}
            stroke="var(--ink)"
            strokeWidth={3}
          />
          <circle
            cx={pivot.x}
            cy={pivot.y}
            r={3.5}
            fill="var(--card)"
            stroke="var(--ink)"
            strokeWidth={1.5}
          />
        </>
      )}
      {sides.map((side, i) => {
        const pin = pins[i]!;
        const ball = at(side.ball);
        const inner = at(side.inner);
        if (Number.isNaN(side.wheelDeg)) return null;
        return (
          <g key={i}>
            <g
              transform={`translate(${pin.x + (i === 0 ? -1 : 1) * wheel.wide * 0.7} ${pin.y}) rotate(${-side.wheelDeg})`}
            >
              <rect
                x={-wheel.wide / 2}
                y={-wheel.long / 2}
                width={wheel.wide}
                height={wheel.long}
                rx={4}
                fill="var(--shade)"
                stroke="var(--ink)"
                strokeWidth={2}
              />
            </g>
            <line
              x1={pin.x}
              y1={pin.y}
              x2={ball.x}
              y2={ball.y}
              stroke="var(--ink)"
              strokeWidth={4}
            />
            <line
              x1={ball.x}
              y1={ball.y}
              x2={inner.x}
              y2={inner.y}
              stroke="var(--accent)"
              strokeWidth={2.5}
            />
            {[ball, inner, pin].map((p, k) => (
              <circle key={k} cx={p.x} cy={p.y} r={2.5} fill="var(--card)" stroke="var(--ink)" />
            ))}
            <text
              x={pin.x + (i === 0 ? -1 : 1) * wheel.wide * 0.7}
              y={pin.y - wheel.long / 2 - 8 - Math.abs(Math.sin(side.wheelDeg * RAD)) * 4}
              textAnchor="middle"
              fontSize={steering.kingpinMm / 13}
              fill="var(--ink)"
              className="font-num"
            >
              {Math.abs(side.wheelDeg).toFixed(1)}°
            </text>
          </g>
        );
      })}
    </svg>
  );
}
