import { useCallback, useEffect, useRef, useState } from 'react';

/** A replay is pulled by steps of this. */
export const STEP_S = 0.1;

/** A flight is played from its start at once, unless the person wants less movement. */
const calm = () => window.matchMedia('(prefers-reduced-motion: reduce)').matches;

/**
 * Where a replay is: runs, stops, goes back, is pulled to a moment.
 * @param flight stable for one flight: another one starts again
 */
export function usePlayback(flight: unknown, lengthS: number) {
  const [timeS, setTime] = useState(0);
  const [wanted, setRunning] = useState(false);
  const over = timeS >= lengthS && lengthS > 0;
  const running = wanted && !over;
  const [slow, setSlow] = useState(false);
  const [of, setOf] = useState<unknown>();
  if (flight !== of) {
    setOf(flight);
    setTime(0);
    setRunning(flight !== undefined && !calm());
  }
  const speed = slow ? 0.25 : 1;
  const last = useRef(0);
  useEffect(() => {
    if (!running) return undefined;
    last.current = performance.now();
    let frame = 0;
    const tick = (now: number) => {
      const by = Math.min(0.1, (now - last.current) / 1000) * speed;
      last.current = now;
      setTime((t) => Math.min(lengthS, t + by));
      frame = requestAnimationFrame(tick);
    };
    frame = requestAnimationFrame(tick);
    return () => cancelAnimationFrame(frame);
  }, [running, speed, lengthS]);
  const toggle = useCallback(() => {
    setRunning(!running);
    // Played to its end it starts again.
    if (over) setTime(0);
  }, [running, over]);
  return {
    timeS,
    running,
    slow,
    toggle,
    setSlow,
    back: (s: number) => setTime((t) => Math.max(0, t - s)),
    to: (s: number) => {
      setRunning(false);
      // The last step of a slider is its end.
      setTime(s > lengthS - STEP_S ? lengthS : Math.max(0, s));
    },
  };
}
