import type { Airframe } from '@/core/setup';
import { shapeOf, type Point } from './shape';

/** The model from above, nose up, drawn from its measures. Decorative: the words stand beside it. */
export function Silhouette({ airframe, className }: { airframe: Airframe; className?: string }) {
  const shape = shapeOf(airframe);
  const points = (list: readonly Point[]) =>
    list.map(([x, y]) => `${y.toFixed(0)},${(-x).toFixed(0)}`).join(' ');
  const left = shape.body.map((s): Point => [s.x, -s.half, 0]);
  const right = [...shape.body].reverse().map((s): Point => [s.x, s.half, 0]);
  const all = [
    ...shape.fixed.flat(),
    ...shape.moving.flatMap((m) => [...m.quad]),
    ...left,
    ...right,
  ];
  const xs = all.map((p) => p[1]);
  const ys = all.map((p) => -p[0]);
  const pad = shape.radiusMm * 0.04;
  const box = [
    Math.min(...xs) - pad,
    Math.min(...ys) - pad,
    Math.max(...xs) - Math.min(...xs) + 2 * pad,
    Math.max(...ys) - Math.min(...ys) + 2 * pad,
  ];
  const stroke = shape.radiusMm / 110;
  return (
    <svg
      viewBox={box.join(' ')}
      className={className}
      aria-hidden
      preserveAspectRatio="xMidYMid meet"
    >
      <g fill="var(--shade)" stroke="var(--ink-soft)" strokeWidth={stroke} strokeLinejoin="round">
        {shape.fixed.map((quad, i) => (
          <polygon key={i} points={points(quad)} />
        ))}
        <polygon points={points([...left, ...right])} />
        {shape.moving.map(({ quad }, i) => (
          <polygon key={i} points={points(quad)} fill="var(--accent)" />
        ))}
      </g>
    </svg>
  );
}
