import type { Moment, Observer } from '../runner';
import { shortWay } from '../state';

/** How far it has turned from just before a moment to a little later, degrees: roll right, nose up, nose right. */
export interface Reaction {
  rollDeg: number;
  pitchDeg: number;
  headingDeg: number;
}

/** @param atS when something is done @param forS how long its answer is watched */
export function reacting(atS: number, forS: number): Observer<Reaction> {
  const before = { rollDeg: 0, pitchDeg: 0, headingDeg: 0 };
  const turned = { rollDeg: 0, pitchDeg: 0, headingDeg: 0 };
  return {
    see({ timeS, attitude }: Moment) {
      if (timeS <= atS) {
        before.rollDeg = attitude.rollDeg;
        before.pitchDeg = attitude.pitchDeg;
        before.headingDeg = attitude.headingDeg;
        return;
      }
      turned.rollDeg = shortWay(attitude.rollDeg - before.rollDeg);
      turned.pitchDeg = attitude.pitchDeg - before.pitchDeg;
      turned.headingDeg = shortWay(attitude.headingDeg - before.headingDeg);
      return timeS >= atS + forS;
    },
    answer: () => ({ ...turned }),
  };
}
