import type { Moment, Observer } from '../runner';
import { shortWay, sinkOf } from '../state';

/** What it settles at: averages over the last part of a flight. */
export interface Settled {
  sinkMps: number;
  airspeedMps: number;
  rollDeg: number;
  pitchDeg: number;
  /** Turn of its heading, degrees a second, to the right. */
  turnDegS: number;
}

/** @param fromS when it has settled */
export function settling(fromS: number): Observer<Settled> {
  const sum = { sinkMps: 0, airspeedMps: 0, rollDeg: 0, pitchDeg: 0 };
  let count = 0;
  let turned = 0;
  let before: number | undefined;
  let [first, last] = [0, 0];
  return {
    see({ timeS, attitude, airspeedMps, state }: Moment) {
      if (timeS < fromS) return;
      if (before === undefined) first = timeS;
      else turned += shortWay(attitude.headingDeg - before);
      before = attitude.headingDeg;
      last = timeS;
      sum.sinkMps += sinkOf(state);
      sum.airspeedMps += airspeedMps;
      sum.rollDeg += attitude.rollDeg;
      sum.pitchDeg += attitude.pitchDeg;
      count += 1;
    },
    answer: () => ({
      sinkMps: sum.sinkMps / count,
      airspeedMps: sum.airspeedMps / count,
      rollDeg: sum.rollDeg / count,
      pitchDeg: sum.pitchDeg / count,
      turnDegS: last > first ? turned / (last - first) : 0,
    }),
  };
}
