import { randomOf } from '../dice';
import type { Setup } from '../setup';
import { CENTRAL, drawOf } from './estimates';
import { ending } from './observers';
import { BATCH, play, readyToFly, touchesM } from './runner';
import { HAND_M, situationOf } from './situations';

/** Speeds a hand throws at, m/s. Common practice, no source. */
export const THROWS_MPS = [6, 7, 8, 9, 10] as const;

/** How throws at one speed go, over the models it may be. */
export interface Thrown {
  speedMps: number;
  flights: number;
  /** Those that were on the ground, on their back or nose straight down within the time. */
  lost: number;
  /** Nearest to the ground of those that flew away, metres; as estimated and at worst. */
  usualM: number | undefined;
  leastM: number;
}

/**
 * Thrown by hand again and again, slow and fast, with launch help where the program has it.
 * @param draws models it may be, the first as estimated
 * @returns yields what is known so far
 */
export function* launchesOf(setup: Setup, draws: number, seed = 1): Generator<Thrown[]> {
  const random = randomOf(seed);
  const made = situationOf(setup, 'launch');
  const all = THROWS_MPS.map((speedMps): Thrown => ({
    speedMps,
    flights: 0,
    lost: 0,
    usualM: undefined,
    leastM: Infinity,
  }));
  for (let draw = 0; draw < draws; draw++) {
    const ready = readyToFly(setup, draw === 0 ? CENTRAL : drawOf(random));
    if (!ready.ok) continue;
    for (const thrown of all) {
      const end = ending(touchesM(setup));
      const start = { ...made.start, speedMps: thrown.speedMps };
      play(ready.pilot, { ...made, start }, [end], BATCH);
      const { flying, lostS, leastHeightM } = end.answer();
      thrown.flights += 1;
      if (!flying || lostS !== undefined) {
        thrown.lost += 1;
        continue;
      }
      if (draw === 0) thrown.usualM = leastHeightM;
      thrown.leastM = Math.min(thrown.leastM, leastHeightM);
    }
    yield all.map((t) => ({ ...t }));
  }
}

/** Lower than the hand that threw it by so much is no lower. */
const AS_HIGH_M = 0.05;

/** "8 m/s: flies away in 20 of 20, 1.4 m above the ground at its lowest." */
export const thrownWords = ({ speedMps, flights, lost, leastM }: Thrown): string =>
  `${speedMps} m/s: ${
    lost === flights
      ? 'on the ground every time'
      : `flies away in ${flights - lost} of ${flights}, ${leastM > HAND_M - AS_HIGH_M ? 'never lower than the hand' : `${leastM.toFixed(1)} m above the ground at its lowest`}`
  }.`;
