import type { Moment, Observer } from '../runner';
import { sinkOf } from '../state';

/** Height lost from the start until it is level again and stays so; undefined where it never is. */
export interface Recovery {
  levelS: number | undefined;
  heightLostM: number;
}

/** Level again: wings and nose near level, and no longer sinking fast, for so long. Planning figures. */
const LEVEL = { rollDeg: 25, pitchDeg: 25, forS: 0.6 } as const;
/** Nor does it still fall: sinking by less than this share of its speed. */
const SINKS = 0.25;

/** @param fromS when something is done about it */
export function recovering(fromS = 0): Observer<Recovery> {
  let start: number | undefined;
  let least = Infinity;
  let since: number | undefined;
  let levelS: number | undefined;
  return {
    see({ timeS, attitude, heightM, airspeedMps, state }: Moment) {
      if (timeS < fromS) return;
      start ??= heightM;
      least = Math.min(least, heightM);
      const level =
        Math.abs(attitude.rollDeg) < LEVEL.rollDeg &&
        Math.abs(attitude.pitchDeg) < LEVEL.pitchDeg &&
        sinkOf(state) < SINKS * airspeedMps;
      if (!level) {
        since = undefined;
        return;
      }
      since ??= timeS;
      if (timeS - since < LEVEL.forS) return;
      levelS = since;
      return true;
    },
    answer: () => ({ levelS, heightLostM: Math.max(0, (start ?? 0) - least) }),
  };
}
