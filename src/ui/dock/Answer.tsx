'use client';

import { isUpright, movementOf } from '@/core/chain';
import { useRig } from '../live/rigStore';
import { StatusMark } from '../status/StatusMark';

/** What every surface and motor does just now, in words and numbers. */
export function Answer() {
  const airframe = useRig((s) => s.setup.airframe);
  const surfaceDeg = useRig((s) => s.snapshot?.surfaceDeg);
  const motorPct = useRig((s) => s.snapshot?.motorPct);
  const drives = useRig((s) => s.snapshot?.unitDrives);
  const steers = useRig((s) => s.snapshot?.unitSteers);
  const touch = useRig((s) => s.touch);
  if (!surfaceDeg || !motorPct) return null;
  return (
    <dl className="grid grid-cols-[1fr_auto] text-[0.95rem] leading-snug" data-testid="answer">
      {airframe.surfaces.map((s, i) => {
        const deg = surfaceDeg[i]!;
        const way = movementOf(s, deg);
        const words = steers
          ? 'the unit’s'
          : Number.isNaN(deg)
            ? 'its rod locks'
            : way === 'centre'
              ? isUpright(s)
                ? 'straight'
                : 'centre'
              : `${Math.abs(deg).toFixed(0)}° ${way}`;
        return (
          <div key={s.id} className="contents">
            <dt>
              <button
                type="button"
                className="min-h-6 text-left hover:underline pointer-coarse:min-h-9"
                onClick={() => touch({ surfaces: [s.id] })}
              >
                {s.label}
              </button>
            </dt>
            <dd className="num">{words}</dd>
          </div>
        );
      })}
      {airframe.motors.map((m, i) => (
        <div key={m.id} className="contents">
          <dt className="min-h-6">{m.label}</dt>
          <dd className="num">
            {drives ? (
              <StatusMark status="caution" words="may run: stay clear" />
            ) : (
              `${motorPct[i]!.toFixed(0)} %`
            )}
          </dd>
        </div>
      ))}
    </dl>
  );
}
