'use client';

import { useRef } from 'react';
import type { Control } from '@/core/setup';
import type { RigHandle } from './useRig';

/** A stick: dragged on its pad, or moved with the two sliders under it. Centred ones spring back. */
export function StickPad({
  name,
  across,
  along,
  rig,
}: {
  name: string;
  across: Control | undefined;
  along: Control | undefined;
  rig: RigHandle;
}) {
  const pad = useRef<HTMLDivElement>(null);
  const x = across ? rig.controls[across.id]! : 0;
  const y = along ? rig.controls[along.id]! : 0;
  const place = (e: React.PointerEvent) => {
    const box = pad.current!.getBoundingClientRect();
    const share = (v: number) => Math.round(Math.max(-100, Math.min(100, v * 230)));
    if (across) rig.setControl(across.id, share((e.clientX - box.left) / box.width - 0.5));
    if (along) rig.setControl(along.id, share(0.5 - (e.clientY - box.top) / box.height));
  };
  if (!across && !along) return null;
  return (
    <div className="flex w-36 flex-col gap-1">
      <div
        ref={pad}
        aria-hidden
        className="relative aspect-square w-full touch-none rounded-full border-2 border-(--line) bg-(--shade)"
        onPointerDown={(e) => {
          e.currentTarget.setPointerCapture(e.pointerId);
          place(e);
        }}
        onPointerMove={(e) => {
          if (e.currentTarget.hasPointerCapture(e.pointerId)) place(e);
        }}
        onPointerUp={() => {
          if (across) rig.setControl(across.id, across.rest);
          if (along && along.rest === 0) rig.setControl(along.id, 0);
        }}
      >
        <span className="absolute top-1/2 right-3 left-3 border-t border-(--line)" />
        <span className="absolute top-3 bottom-3 left-1/2 border-l border-(--line)" />
        <span
          className="bg-accent absolute h-9 w-9 -translate-x-1/2 -translate-y-1/2 rounded-full border-2 border-(--card)"
          style={{ left: `${50 + x * 0.43}%`, top: `${50 - y * 0.43}%` }}
        />
      </div>
      <p className="text-center text-sm font-semibold">{name}</p>
      {[across, along].map(
        (c) =>
          c && (
            <label key={c.id} className="text-sm">
              {c.label.replace(' stick', '')}
              <span className="num float-right">{rig.controls[c.id]!.toFixed(0)} %</span>
              <input
                type="range"
                min={-100}
                max={100}
                value={rig.controls[c.id]}
                onChange={(e) => rig.setControl(c.id, Number(e.target.value))}
                className="h-8 w-full accent-(--accent)"
              />
            </label>
          ),
      )}
    </div>
  );
}
