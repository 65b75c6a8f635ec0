import { useEffect, useRef, useState } from 'react';
import type { ByHand, Point } from '@/core/motion';
import type { Setup } from '@/core/setup';
import { useRig } from '../live/rigStore';
import { useKeys } from '../open/keys';
import { isStickKey, keyOf, moveSticks, sticksOf } from './stickKeys';

/** A slow page flies on by at most so much at once. */
const MOST_S = 0.1;
/** The path and the chart follow so often. */
const DRAWN_S = 0.25;

/**
 * A flight taken over: the hands are those of the rig, moved by fingers or keys, as long as it lasts.
 * @param over called once it is on the ground, or its time is up
 */
export function useByHand(setup: Setup, flight: ByHand, over: () => void) {
  const controls = useRig((s) => s.controls);
  const linkUp = useRig((s) => s.linkUp);
  const setControl = useRig((s) => s.setControl);
  const hands = useRef({ controls, linkUp, setControl, over });
  useEffect(() => {
    hands.current = { controls, linkUp, setControl, over };
  });
  const held = useRef(new Set<string>());
  useKeys((event, phase) => {
    const key = keyOf(event);
    if (!isStickKey(key)) return false;
    event.preventDefault();
    if (phase === 'down') held.current.add(key);
    else held.current.delete(key);
    return true;
  }, true);
  const [at, setAt] = useState<Point>(() => flight.at());
  const [points, setPoints] = useState<Point[]>(() => flight.points());
  useEffect(() => {
    const sticks = sticksOf(setup);
    const led = new Set<'aside' | 'fore' | 'rudder' | 'throttle'>();
    let last = performance.now();
    let drawnS = 0;
    let frame = 0;
    const letGo = () => held.current.clear();
    const tick = (now: number) => {
      const forS = Math.max(0, Math.min(MOST_S, (now - last) / 1000));
      last = now;
      const { current } = hands;
      const moved = moveSticks(sticks, current.controls, held.current, led, forS);
      for (const [id, value] of Object.entries(moved)) current.setControl(id, value);
      const goesOn = flight.fly(forS, { ...current.controls, ...moved }, current.linkUp);
      setAt(flight.at());
      drawnS += forS;
      if (drawnS > DRAWN_S) {
        drawnS = 0;
        setPoints(flight.points());
      }
      if (goesOn) frame = requestAnimationFrame(tick);
      else current.over();
    };
    frame = requestAnimationFrame(tick);
    // A key let go outside of the window is never heard of.
    window.addEventListener('blur', letGo);
    return () => {
      cancelAnimationFrame(frame);
      window.removeEventListener('blur', letGo);
    };
  }, [flight, setup]);
  return { at, points };
}
