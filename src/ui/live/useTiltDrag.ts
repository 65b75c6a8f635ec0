'use client';

import { useRef } from 'react';
import { useRig } from './rigStore';

/** Handlers that turn a drag across a picture of the model into a tilt; with Shift sideways swings the nose. */
export function useTiltDrag() {
  const tilt = useRig((s) => s.tilt);
  const drag = useRef<{ x: number; y: number } | undefined>(undefined);
  return {
    onPointerDown(e: React.PointerEvent) {
      drag.current = { x: e.clientX, y: e.clientY };
      e.currentTarget.setPointerCapture(e.pointerId);
    },
    onPointerMove(e: React.PointerEvent) {
      if (!drag.current) return;
      const dx = e.clientX - drag.current.x;
      const dy = e.clientY - drag.current.y;
      drag.current = { x: e.clientX, y: e.clientY };
      tilt(e.shiftKey ? 'yaw' : 'roll', dx * 0.4);
      tilt('pitch', dy * 0.3);
    },
    onPointerUp() {
      drag.current = undefined;
    },
  };
}
