'use client';

import { isUpright } from '@/core/chain';
import type { Check } from '@/core/directions';
import { useModel } from '../open/modelStore';
import { PlainModel } from '../drawing/PlainModel';
import { useSwing } from './useSwing';

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

/** The model as its pilot sees it, moved as the check asks, the surfaces in question marked. */
export function MovementDrawing({
  check,
  surfaceIds,
}: {
  check: Check;
  surfaceIds: readonly string[];
}) {
  const airframe = useModel((s) => s.setup.airframe);
  const turned = check.kind === 'correction';
  const swing = useSwing(check.way);
  const [roll, pitch, yaw] = TILT[check.way][check.axis];
  const share = turned ? swing : 0;
  const asked = airframe.surfaces.find((s) => surfaceIds.includes(s.id));
  const [across, along] = STICK[check.axis];
  const ends = turned ? [0, 0.5, 1] : [0];
  return (
    <div className="flex flex-col items-center gap-1">
      <PlainModel
        airframe={airframe}
        attitudeDeg={[roll * share, pitch * share, yaw * share]}
        marked={(id) => surfaceIds.includes(id)}
        asideDeg={asked && isUpright(asked) ? 32 : 0}
        frame={ends.map((end) => [roll * end, pitch * end, yaw * end])}
      />
      {!turned && (
        <svg viewBox="-1.1 -1.1 2.2 2.2" className="h-14" aria-hidden>
          <rect
            x={-1}
            y={-1}
            width={2}
            height={2}
            rx={0.3}
            fill="var(--card)"
            stroke="var(--ink)"
            strokeWidth={0.06}
          />
          <line
            x2={across * swing * 0.75}
            y2={along * swing * 0.75}
            stroke="var(--ink)"
            strokeWidth={0.16}
            strokeLinecap="round"
          />
          <circle
            cx={across * swing * 0.75}
            cy={along * swing * 0.75}
            r={0.22}
            fill="var(--accent)"
          />
        </svg>
      )}
    </div>
  );
}
