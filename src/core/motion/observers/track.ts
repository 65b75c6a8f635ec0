import type { Moment, Observer } from '../runner';

/** A moment that was kept: for a picture, a chart, a replay. */
export interface Point {
  timeS: number;
  northM: number;
  eastM: number;
  heightM: number;
  rollDeg: number;
  pitchDeg: number;
  headingDeg: number;
  airspeedMps: number;
  mode: string;
  gainPct: number;
  surfaceDeg: number[];
  motorPct: number[];
}

/** Keeps a moment every so often. */
export function tracking(everyS: number): Observer<Point[]> {
  const points: Point[] = [];
  let next = 0;
  return {
    see({ timeS, state, attitude, heightM, airspeedMps, frame, controls }: Moment) {
      if (timeS < next - 1e-9) return;
      next += everyS;
      points.push({
        timeS,
        northM: state[0]!,
        eastM: state[1]!,
        heightM,
        rollDeg: attitude.rollDeg,
        pitchDeg: attitude.pitchDeg,
        headingDeg: attitude.headingDeg,
        airspeedMps,
        mode: frame.mode,
        gainPct: Math.max(...frame.gainPct),
        surfaceDeg: [...controls.surfaceDeg],
        motorPct: [...controls.motorPct],
      });
    },
    answer: () => points,
  };
}
