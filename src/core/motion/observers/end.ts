import type { Moment, Observer } from '../runner';
import { shortWay, sinkOf } from '../state';

/** How a flight went: still flying, landed, or when and how it was lost. */
export interface Ending {
  /** Still in the air when the scenario was over. */
  flying: boolean;
  /** First moment on its back (bank beyond 120°) or nose straight down (below −60°); undefined where it never was. */
  lostS: number | undefined;
  onItsBack: boolean;
  /** First moment on the ground. */
  downS: number | undefined;
  /** How it met the ground. */
  how: 'landed' | 'hard' | 'crashed' | undefined;
  /** Over the ground, and towards it. */
  speedMps: number;
  sinkMps: number;
  /** Where it was at the end, over the ground from where it began: north, east, metres. */
  northM: number;
  eastM: number;
  heightM: number;
  rollDeg: number;
  pitchDeg: number;
  /** Its heading over the whole of it, to the right. */
  turnedDeg: number;
  /** Over the whole of it. */
  mostRollDeg: number;
  mostPitchDeg: number;
  leastHeightM: number;
  seconds: number;
}

const BACK_DEG = 120;
const DIVE_DEG = -60;
/** A landing: sinking slowly, wings and nose about level. Planning figures. */
const SOFT = { sinkMps: 1.5, rollDeg: 20, noseDeg: -12 } as const;
const HARD = { sinkMps: 3, rollDeg: 35, noseDeg: -20 } as const;

const within = (sink: number, roll: number, pitch: number, most: typeof SOFT | typeof HARD) =>
  sink <= most.sinkMps && Math.abs(roll) <= most.rollDeg && pitch >= most.noseDeg;

/** Watches how a flight ends. @param groundM height at which it touches */
export function ending(groundM: number): Observer<Ending> {
  const seen: Ending = {
    flying: true,
    lostS: undefined,
    onItsBack: false,
    downS: undefined,
    how: undefined,
    speedMps: 0,
    sinkMps: 0,
    northM: 0,
    eastM: 0,
    heightM: 0,
    rollDeg: 0,
    pitchDeg: 0,
    turnedDeg: 0,
    mostRollDeg: 0,
    mostPitchDeg: 0,
    leastHeightM: Infinity,
    seconds: 0,
  };
  let began = false;
  let before: number | undefined;
  return {
    see({ timeS, attitude, heightM, speedMps, state }: Moment) {
      const { rollDeg, pitchDeg, headingDeg } = attitude;
      seen.turnedDeg += before === undefined ? 0 : shortWay(headingDeg - before);
      before = headingDeg;
      const upsideDown = Math.abs(rollDeg) > BACK_DEG;
      // A flight that begins on its back is lost only once it has been upright.
      if (!upsideDown && pitchDeg > DIVE_DEG) began = true;
      if (began && seen.lostS === undefined && (upsideDown || pitchDeg < DIVE_DEG)) {
        seen.lostS = timeS;
        seen.onItsBack = upsideDown;
      }
      seen.speedMps = speedMps;
      seen.sinkMps = sinkOf(state);
      seen.northM = state[0]!;
      seen.eastM = state[1]!;
      seen.heightM = heightM;
      seen.rollDeg = rollDeg;
      seen.pitchDeg = pitchDeg;
      seen.mostRollDeg = Math.max(seen.mostRollDeg, Math.abs(rollDeg));
      seen.mostPitchDeg = Math.max(seen.mostPitchDeg, Math.abs(pitchDeg));
      seen.leastHeightM = Math.min(seen.leastHeightM, heightM);
      seen.seconds = timeS;
      if (heightM > groundM) return;
      seen.flying = false;
      seen.downS = timeS;
      seen.how = within(seen.sinkMps, rollDeg, pitchDeg, SOFT)
        ? 'landed'
        : within(seen.sinkMps, rollDeg, pitchDeg, HARD)
          ? 'hard'
          : 'crashed';
      return true;
    },
    answer: () => ({ ...seen }),
  };
}
