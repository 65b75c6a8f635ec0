import {
  endedWell,
  ending,
  fly,
  play,
  readyToFly,
  readScenario,
  recovering,
  settling,
  storyWords,
  touchesM,
  tracking,
  type Observer,
} from '../core/motion';
import type { Problem, Setup } from '../core/setup';

/** Observers that can be asked for by name. */
const OBSERVERS = {
  ending: (setup) => ending(touchesM(setup)),
  recovery: () => recovering(),
  settled: () => settling(5),
} satisfies Record<string, (setup: Setup) => Observer<unknown>>;

export const OBSERVER_NAMES = Object.keys(OBSERVERS);

export type Moved = { ok: true; text: string; well: boolean } | { ok: false; problems: Problem[] };

/** A larger file is no scenario. */
const MOST_BYTES = 1_000_000;
/** One row every so often. */
const EVERY_S = 0.1;

const round = (x: number) => Math.round(x * 1000) / 1000;

/**
 * Plays a scenario with a Setup: its moments as JSON or CSV, or the answer of one observer.
 * @param text the scenario file @param asked what is wanted of it
 */
export function moved(
  setup: Setup,
  text: string,
  asked: { csv: boolean; observe: string | undefined },
): Moved {
  if (text.length > MOST_BYTES)
    return {
      ok: false,
      problems: [{ path: '', reason: 'larger than any scenario: 1 MB at most' }],
    };
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch {
    return { ok: false, problems: [{ path: '', reason: 'the scenario is not JSON' }] };
  }
  const read = readScenario(
    raw,
    setup.transmitter.controls.map((c) => c.id),
  );
  if (!read.ok) return read;
  const ready = readyToFly(setup);
  if (!ready.ok) return { ok: false, problems: [{ path: '/airframe', reason: ready.reason }] };
  if (asked.observe !== undefined) {
    if (!Object.hasOwn(OBSERVERS, asked.observe))
      return {
        ok: false,
        problems: [{ path: '', reason: `--observe must be one of: ${OBSERVER_NAMES.join(', ')}` }],
      };
    const observer: Observer<unknown> = OBSERVERS[asked.observe as keyof typeof OBSERVERS](setup);
    play(ready.pilot, read.value, [observer]);
    return { ok: true, text: `${JSON.stringify(observer.answer(), null, 2)}\n`, well: true };
  }
  if (!asked.csv) {
    const outcome = fly(setup, read.value);
    if (!outcome.ok)
      return { ok: false, problems: [{ path: '/airframe', reason: outcome.reason }] };
    const { ending: end, points } = outcome.flown;
    const story = storyWords(outcome.flown);
    const well = endedWell(outcome.flown);
    return { ok: true, text: `${JSON.stringify({ story, ending: end, points }, null, 2)}\n`, well };
  }
  const track = tracking(EVERY_S);
  play(ready.pilot, read.value, [track]);
  const columns = [
    ...['time_s', 'north_m', 'east_m', 'height_m', 'roll_deg', 'pitch_deg', 'heading_deg'],
    ...['airspeed_mps', 'mode', 'gain_pct'],
    ...setup.airframe.surfaces.map((s) => `${s.id}_deg`),
    ...setup.airframe.motors.map((m) => `${m.id}_pct`),
  ];
  const rows = track
    .answer()
    .map((p) =>
      [
        ...[p.timeS, p.northM, p.eastM, p.heightM, p.rollDeg, p.pitchDeg, p.headingDeg].map(round),
        ...[round(p.airspeedMps), p.mode, round(p.gainPct)],
        ...p.surfaceDeg.map(round),
        ...p.motorPct.map(round),
      ].join(','),
    );
  return { ok: true, text: `${[columns.join(','), ...rows].join('\r\n')}\r\n`, well: true };
}
