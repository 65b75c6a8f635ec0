import type { Setup } from '../setup';
import { CENTRAL, type Draw } from './estimates';
import { tracking, type Point } from './observers';
import { begin, readyToFly } from './runner';
import type { Scenario } from './scenario';
import { EVERY_S } from './shown';

/** A flight somebody has taken over. What the hands do is kept, so that it can be flown again. */
export interface ByHand {
  /** Where the controls were when it was taken over, by their ids, and the signal. */
  hands: Record<string, number>;
  linkUp: boolean;
  /**
   * Flies on with the hands and the signal as they are now.
   * @returns false where it is on the ground, or its time is up
   */
  fly(forS: number, hands: Readonly<Record<string, number>>, linkUp: boolean): boolean;
  /** The last moment that was kept, and all until now as a new list. */
  at(): Point;
  points(): Point[];
  /** As it was flown until now: played, it is the same flight. */
  scenario(): Scenario;
}

export type TakenOver = { ok: true; flight: ByHand } | { ok: false; reason: string };

/** Longest flight by hand, seconds. */
const LONGEST_S = 300;

/**
 * Flies a scenario to a moment and hands it over.
 * @param fromS when it is taken over; what the scenario would do later is left out
 */
export function takeOver(
  setup: Setup,
  scenario: Scenario,
  fromS: number,
  draw: Draw = CENTRAL,
): TakenOver {
  const ready = readyToFly(setup, draw);
  if (!ready.ok) return ready;
  const { controls } = setup.transmitter;
  const kept: Scenario = {
    ...scenario,
    hands: scenario.hands.filter((h) => h.atS < fromS),
    signal: scenario.signal.filter((s) => s.atS < fromS),
    seconds: Math.max(scenario.seconds, LONGEST_S),
  };
  const under = begin(ready.pilot, kept);
  const { moment } = under;
  const track = tracking(EVERY_S);
  const moves: Scenario['hands'] = [];
  const signal: Scenario['signal'] = [];
  const handsNow = () => Object.fromEntries(controls.map((c, i) => [c.id, moment.hands[i]!]));
  track.see(moment);
  const step = () => {
    const goesOn = under.step();
    track.see(moment);
    return goesOn;
  };
  while (moment.timeS < fromS - 1e-9 && step());
  let up = moment.linkUp;
  return {
    ok: true,
    flight: {
      hands: handsNow(),
      linkUp: up,
      fly(forS, hands, linkUp) {
        const untilS = moment.timeS + forS;
        while (moment.timeS < untilS - 1e-9) {
          if (under.sends()) {
            const atS = moment.timeS;
            const moved = controls.flatMap(({ id }, i) =>
              hands[id] !== undefined && hands[id] !== moment.hands[i] ? [[id, hands[id]]] : [],
            );
            if (moved.length > 0) {
              const put = Object.fromEntries(moved) as Record<string, number>;
              under.hand(put);
              moves.push({ atS, controls: put });
            }
            if (linkUp !== up) {
              up = linkUp;
              under.signal(up);
              signal.push({ atS, up });
            }
          }
          if (!step()) return false;
        }
        return true;
      },
      at: () => track.answer().at(-1)!,
      points: () => [...track.answer()],
      scenario: () => ({
        ...kept,
        hands: [...kept.hands, ...moves],
        signal: [...kept.signal, ...signal],
        seconds: Math.max(0.1, moment.timeS),
      }),
    },
  };
}
