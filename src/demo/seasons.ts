import type { LogEntry } from '../core/logbook';

const WINDS = ['calm', 'light, off the lake', 'steady 4 m/s', 'gusts to 8 m/s', 'north, 5 m/s'];
/** What is written after an flight or run, by what carries the model. */
const SEEN: Record<'air' | 'ground', readonly string[]> = {
  air: [
    'Nothing to note.',
    'Steady in the climb; a little nod at full throttle, gain back by a click.',
    'Gusts under the trees: it sat like a gull.',
    'Trim two clicks up; captured again afterwards.',
    'Tried the next mode at height with a helper. Off again for the landing.',
  ],
  ground: [
    'Nothing to note.',
    'Straight as a string in the chop; a little hunting flat out, gain back by a click.',
    'Gusts across the harbour: it kept its heading.',
    'Steering trim two clicks left; taught again afterwards.',
    'Tried the other side of the dial: too sharp for this, back again.',
  ],
};
const MODES: Record<'air' | 'ground', readonly string[]> = {
  air: ['rate', 'rate, level for the landing', 'off'],
  ground: ['slow side of the dial', 'slow side, fast on the way home', 'off'],
};

/** One after another, always the same: a small linear congruential generator. */
function dice(seed: number): (sides: number) => number {
  let state = seed;
  return (sides) => {
    state = (Math.imul(state, 1103515245) + 12345) & 0x7fffffff;
    return Math.floor((state / 0x80000000) * sides);
  };
}

/**
 * Two invented seasons at Lake Hollow: a preflight check, then an flight or run or two, about every ten days.
 * @param months of the year in which it goes out, 1–12 @param last the last day it was out
 */
export function twoSeasons(
  name: string,
  seed: number,
  months: readonly number[],
  places: readonly string[],
  last: string,
  carried: 'air' | 'ground' = 'air',
): LogEntry[] {
  const roll = dice(seed);
  const log: LogEntry[] = [];
  const end = Date.parse(last);
  let gain = 34;
  for (let day = Date.parse('2025-04-12T00:00:00Z'); day <= end;) {
    const date = new Date(day);
    if (months.includes(date.getUTCMonth() + 1)) {
      const at = (hour: number, minute: number) =>
        new Date(day + (hour * 60 + minute) * 60_000).toISOString();
      const place = places[roll(places.length)]!;
      const wind = WINDS[roll(WINDS.length)]!;
      log.push({
        uid: `${name}-p-${date.toISOString().slice(0, 10)}`,
        version: 1,
        kind: 'preflight',
        at: at(9, roll(60)),
        title: 'Preflight: all as it must be',
        place,
        wind,
        result: 'passed',
      });
      for (let n = 0; n <= roll(2); n++) {
        gain = Math.max(20, Math.min(60, gain + roll(7) - 3));
        log.push({
          uid: `${name}-f${n}-${date.toISOString().slice(0, 10)}`,
          version: 1,
          kind: 'flight',
          at: at(10 + n, roll(60)),
          title: n === 0 ? 'First pack' : 'Second pack',
          place,
          wind,
          battery: `pack ${1 + roll(4)}`,
          minutes: 5 + roll(8),
          mode: MODES[carried][roll(3)]!,
          gainReading: `${gain} %`,
          seen: SEEN[carried][roll(SEEN[carried].length)]!,
        });
      }
    }
    day += (6 + roll(9)) * 86_400_000;
  }
  return log;
}
