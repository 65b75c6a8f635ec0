import type { Setup } from '../setup';
import { CENTRAL, type Draw } from './estimates';
import { halfTimeS, linearized, polesOf, type Pole } from './linear';
import { cruising, restingControls, trimmed } from './trim';

/** How a model moves by itself, hands and unit off: its poles at its usual speed. */
export function ownMotions(setup: Setup, draw: Draw = CENTRAL): Pole[] {
  const flyable = trimmed(setup, draw);
  if (!flyable.ok) return [];
  const controls = restingControls(setup);
  controls.motorPct.fill(flyable.vehicle.trim.motorPct);
  return polesOf(
    linearized(flyable.vehicle.derivative(controls), cruising(setup, flyable.vehicle, 60)),
  );
}

const told = (s: number) => `${s < 1 ? s.toFixed(2) : s.toFixed(s < 10 ? 1 : 0)} s`;

/**
 * The same in words: what dies out, what swings how often, what grows. The slow swing of speed against height and the
 * spiral are told apart from the quick ones by how slow they are.
 */
export function ownMotionWords(poles: readonly Pole[]): string[] {
  const rolls = poles.filter((p) => p.im === 0 && p.re < -4).at(-1);
  const swings = poles.filter((p) => p.im > 1.5);
  const tail = swings.at(-1);
  const nose = swings.length > 1 ? swings[0] : undefined;
  const slow = poles.find((p) => p.im > 0.02 && p.im <= 1.5);
  const spiral = poles.find((p) => p.im === 0 && Math.abs(p.re) > 1e-4 && Math.abs(p.re) < 1.5);
  const often = (p: Pole) => {
    const hz = p.im / (2 * Math.PI);
    return hz >= 1 ? `${hz.toFixed(1)} times a second` : `once in ${told(1 / hz)}`;
  };
  return [
    ...(rolls ? [`stops rolling in ${told(3 / -rolls.re)}`] : []),
    ...(nose && nose.re < 0 ? [`its nose settles in ${told(3 / -nose.re)}`] : []),
    ...(tail
      ? [
          `swings its tail ${often(tail)}, ${tail.re < 0 ? `dies out in ${told(3 / -tail.re)}` : 'and it grows'}`,
        ]
      : []),
    ...(slow
      ? [
          `rises and sinks ${often(slow)}, ${slow.re < 0 ? `dies out in ${told(3 / -slow.re)}` : 'and it grows'}`,
        ]
      : []),
    ...(spiral
      ? [
          spiral.re > 0
            ? `left alone a bank doubles in ${told(halfTimeS(spiral))}`
            : `left alone a bank halves in ${told(halfTimeS(spiral))}`,
        ]
      : []),
  ];
}
