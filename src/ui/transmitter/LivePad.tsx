'use client';

import { useRef } from 'react';
import type { Pad } from '@/core/controls';
import type { Control } from '@/core/setup';
import { useRig } from '../live/rigStore';
import { HandMark, handKind } from './HandMark';
import { labelClass, PAD_ROOM } from './layout';

/** A stick: dragged, or moved with the arrow keys; centred ones spring back. */
export function LivePad({ pad }: { pad: Pad }) {
  const { across, along } = pad;
  const ground = useRef<HTMLDivElement>(null);
  const x = useRig((s) => (across ? (s.controls[across.id] ?? 0) : 0));
  const y = useRig((s) => (along ? (s.controls[along.id] ?? 0) : 0));
  const setControl = useRig((s) => s.setControl);
  const marked = useRig((s) =>
    [across, along].some((c) => c && s.pointed?.controls?.includes(c.id)),
  );
  const place = (e: React.PointerEvent) => {
    const box = ground.current!.getBoundingClientRect();
    const share = (v: number) => Math.round(Math.max(-100, Math.min(100, v * 230)));
    if (across) setControl(across.id, share((e.clientX - box.left) / box.width - 0.5));
    if (along) setControl(along.id, share(0.5 - (e.clientY - box.top) / box.height));
  };
  const kind = handKind(
    pad,
    useRig((s) => s.setup.transmitter),
  );
  const named = (c: Control) => c.label.replace(' stick', '').toLowerCase();
  return (
    <div className="relative -mt-3 flex flex-col items-center">
      <div
        ref={ground}
        data-pad={pad.side}
        className={`relative size-21 touch-none rounded-2xl border-2 bg-(--card) focus-within:outline-3 focus-within:outline-(--focus) ${marked ? 'border-accent' : 'border-(--line)'}`}
        onPointerDown={(e) => {
          e.currentTarget.setPointerCapture(e.pointerId);
          place(e);
        }}
        onPointerMove={(e) => {
          if (e.currentTarget.hasPointerCapture(e.pointerId)) place(e);
        }}
        onPointerUp={() => {
          if (across) setControl(across.id, across.rest);
          if (along && along.rest === 0) setControl(along.id, 0);
        }}
      >
        {kind === 'stick' ? (
          <>
            <span className="absolute top-1/2 right-2 left-2 border-t border-(--line)" />
            <span className="absolute top-2 bottom-2 left-1/2 border-l border-(--line)" />
            <span
              className="bg-accent absolute size-6 -translate-x-1/2 -translate-y-1/2 rounded-full"
              style={{ left: `${50 + x * 0.38}%`, top: `${50 - y * 0.38}%` }}
            />
          </>
        ) : (
          <HandMark kind={kind} value={kind === 'wheel' ? x : y} />
        )}
        {[across, along].map(
          (c) =>
            c && (
              <input
                key={c.id}
                type="range"
                className="sr-only"
                aria-label={c.label}
                min={-100}
                max={100}
                step={5}
                value={c === across ? x : y}
                onChange={(e) => setControl(c.id, Number(e.target.value))}
              />
            ),
        )}
      </div>
      <span
        className={`${labelClass('')} text-soft`}
        style={{ width: `${PAD_ROOM}cqw` }}
        title={[across, along].flatMap((c) => (c ? [c.label] : [])).join(' · ')}
      >
        {[across, along].flatMap((c) => (c ? [named(c)] : [])).join(' · ')}
      </span>
    </div>
  );
}
