'use client';

import { useEffect, useState } from 'react';
import type { Check } from '@/core/directions';

const PERIOD_MS = 2600;
/** Often enough to be seen as movement, seldom enough for a phone's battery. */
const FRAME_MS = 50;

/** How far into its movement a drawing is, 0 to 1, over and over; 1 for those who want no motion. */
export function useSwing(way: Check['way']): number {
  const [share, setShare] = useState(1);
  useEffect(() => {
    if (window.matchMedia('(prefers-reduced-motion: reduce)').matches) return;
    let frame = 0;
    const start = performance.now();
    let drawn = 0;
    const step = (now: number) => {
      frame = requestAnimationFrame(step);
      if (now - drawn < FRAME_MS) return;
      drawn = now;
      const t = ((now - start) % PERIOD_MS) / PERIOD_MS;
      // Over quickly, kept there (longer where it is to be kept), and slowly back.
      const rise = Math.min(1, t / 0.15);
      const fall = Math.min(1, (1 - t) / 0.25);
      setShare(Math.min(rise, way === 'held' ? Math.min(1, fall * 1.6) : fall));
    };
    frame = requestAnimationFrame(step);
    return () => cancelAnimationFrame(frame);
  }, [way]);
  return share;
}
