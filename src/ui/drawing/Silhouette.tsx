import type { Airframe } from '@/core/setup';
import { planView } from './planView';

/** The model from above, nose up, drawn from its measures. Decorative: the words stand beside it. */
export function Silhouette({ airframe, className }: { airframe: Airframe; className?: string }) {
  const { box, strokeMm, body, fixed, moving, motors, over } = planView(airframe);
  return (
    <svg
      viewBox={box.join(' ')}
      className={className}
      aria-hidden
      preserveAspectRatio="xMidYMid meet"
    >
      <g fill="var(--shade)" stroke="var(--ink-soft)" strokeWidth={strokeMm} strokeLinejoin="round">
        {fixed.map((outline, i) => (
          <polygon key={i} points={outline} />
        ))}
        {motors.flatMap(({ motor, outlines }) =>
          outlines.map((outline, i) => (
            <polygon key={`${motor.id} ${i}`} points={outline} fill="var(--ink-soft)" />
          )),
        )}
        <polygon points={body} />
        {over.map((outline, i) => (
          <polygon key={i} points={outline} fill="var(--card)" />
        ))}
        {moving.flatMap(({ surface, outlines }) =>
          outlines.map((outline, i) => (
            <polygon key={`${surface.id} ${i}`} points={outline} fill="var(--accent)" />
          )),
        )}
      </g>
    </svg>
  );
}
