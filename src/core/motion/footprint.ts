import { randomOf } from '../dice';
import type { Setup } from '../setup';
import { CENTRAL, drawOf } from './estimates';
import { ending, type Ending } from './observers';
import { BATCH, play, readyToFly, touchesM } from './runner';
import { scenario } from './scenario';

/** Where one of the models it may be came down after the signal was lost. */
export interface Landing {
  /** From the place where the signal was lost: with the wind, and across it; metres. */
  downwindM: number;
  acrossM: number;
  seconds: number;
  speedMps: number;
  how: Ending['how'];
  /** It was still in the air when the time was over. */
  flying: boolean;
}

/** How high the signal is lost, in which wind. */
export interface LostIn {
  heightM: number;
  windMps: number;
}

/** Where nobody says otherwise. Planning figures. */
export const LOST_IN: LostIn = { windMps: 4, heightM: 50 };
/** It is followed so long. */
const SECONDS = 120;
/** How many are flown between two looks. */
const AT_ONCE = 10;

/**
 * Signal lost in wind, over and over: another model it may be each time, another gust, another heading. Nobody knows
 * which way it was flying.
 * @returns yields the landings so far
 */
export function* footprintOf(
  setup: Setup,
  { heightM, windMps }: LostIn,
  draws: number,
  seed = 1,
): Generator<Landing[]> {
  const random = randomOf(seed);
  const landings: Landing[] = [];
  for (let i = 0; i < draws; i++) {
    const ready = readyToFly(setup, i === 0 ? CENTRAL : drawOf(random));
    const headingDeg = 360 * random() - 180;
    const dice = Math.floor(random() * 2 ** 31);
    if (!ready.ok) continue;
    const end = ending(touchesM(setup));
    play(
      ready.pilot,
      scenario({
        start: { heightM, headingDeg },
        signal: [{ atS: 0.5, up: false }],
        wind: { eastMps: windMps, turbulenceMps: 0.5 },
        seconds: SECONDS,
        seed: dice,
      }),
      [end],
      BATCH,
    );
    const { eastM, northM, seconds, speedMps, how, flying } = end.answer();
    landings.push({ downwindM: eastM, acrossM: northM, seconds, speedMps, how, flying });
    if (landings.length % AT_ONCE === 0) yield [...landings];
  }
  yield [...landings];
}

/** A share of a list from its least: 0.05 and 0.95 are where nine of ten lie between. */
function quantile(values: readonly number[], share: number): number {
  const sorted = values.toSorted((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!;
}

const along = (downwindM: number): string =>
  `${Math.abs(Math.round(downwindM))} m ${downwindM < 0 ? 'against the wind' : 'with it'}`;

/** What landings come to, nine of ten between: "90–140 m with the wind …". */
export function footprintWords(landings: readonly Landing[]): string[] {
  const down = landings.filter((l) => !l.flying);
  if (down.length === 0) return [`None of ${landings.length} came down within ${SECONDS} s.`];
  const range = (pick: (l: Landing) => number) =>
    [0.05, 0.95].map((share) => Math.round(quantile(down.map(pick), share))).join(' to ');
  const crashed = down.filter((l) => l.how === 'crashed').length;
  const up = landings.length - down.length;
  return [
    `Down after ${range((l) => l.seconds)} s.`,
    `${range((l) => Math.hypot(l.downwindM, l.acrossM))} m from where the signal was lost: from ${along(
      quantile(
        down.map((l) => l.downwindM),
        0.05,
      ),
    )} to ${along(
      quantile(
        down.map((l) => l.downwindM),
        0.95,
      ),
    )}.`,
    `At ${range((l) => l.speedMps)} m/s; ${crashed} of ${down.length} crash, the others land softly or hard.`,
    ...(up > 0 ? [`${up} of ${landings.length} were still in the air after ${SECONDS} s.`] : []),
  ];
}
