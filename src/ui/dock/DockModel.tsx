'use client';

import { PlainModel } from '../drawing/PlainModel';
import { useRig } from '../live/rigStore';
import { useTiltDrag } from '../live/useTiltDrag';
import { kindOf } from '@/core/setup';

/** The model on the stand: drag to tilt it, press a surface to see what governs it. */
export function DockModel() {
  const airframe = useRig((s) => s.setup.airframe);
  const attitude = useRig((s) => s.snapshot?.attitudeDeg);
  const surfaceDeg = useRig((s) => s.snapshot?.surfaceDeg);
  const pointed = useRig((s) => s.pointed?.surfaces);
  const touched = useRig((s) => s.touched?.surfaces);
  const touch = useRig((s) => s.touch);
  const drag = useTiltDrag();
  return (
    <div
      className="relative h-56 touch-none border-b border-(--card-edge)"
      data-testid="rig-stage"
      {...drag}
      onPointerDown={(e) => {
        const surface = (e.target as Element).getAttribute('data-surface');
        if (surface) touch({ surfaces: [surface] });
        drag.onPointerDown(e);
      }}
    >
      <PlainModel
        airframe={airframe}
        attitudeDeg={attitude ? [attitude.roll, attitude.pitch, attitude.yaw] : [0, 0, 0]}
        {...(surfaceDeg ? { surfaceDeg } : {})}
        marked={(id) => (pointed?.includes(id) || touched?.includes(id)) ?? false}
        fit
      />
      <TiltWords />
    </div>
  );
}

/** "right wing 25° down" */
function TiltWords() {
  const attitude = useRig((s) => s.snapshot?.attitudeDeg);
  const level = useRig((s) => s.level);
  const { onSurface, front, back } = kindOf(useRig((s) => s.setup.airframe));
  if (!attitude) return null;
  const sides = onSurface ? 'side' : 'wing';
  const tilts = {
    roll: [`right ${sides}`, `left ${sides}`],
    pitch: [back, front],
    yaw: [`${front} right`, `${front} left`],
  } as const;
  const round = (deg: number) => Math.round((((deg + 180) % 360) + 360) % 360) - 180;
  const roll = round(attitude.roll);
  const pitch = round(attitude.pitch);
  const yaw = round(attitude.yaw);
  const words = [
    roll !== 0 && `${tilts.roll[roll > 0 ? 0 : 1]} ${Math.abs(roll)}° down`,
    pitch !== 0 && `${tilts.pitch[pitch > 0 ? 0 : 1]} ${Math.abs(pitch)}° down`,
    yaw !== 0 && `${tilts.yaw[yaw > 0 ? 0 : 1]} ${Math.abs(yaw)}°`,
  ].filter(Boolean);
  return (
    <p className="text-soft absolute bottom-1 left-3 flex items-center gap-2 text-sm">
      {words.length === 0 ? 'level; drag to tilt' : words.join(', ')}
      {words.length > 0 && (
        <button
          type="button"
          className="min-h-6 underline pointer-coarse:min-h-11"
          onPointerDown={(e) => e.stopPropagation()}
          onClick={level}
        >
          put it level
        </button>
      )}
    </p>
  );
}
