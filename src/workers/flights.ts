import '../core/verify/prover';
import {
  endedWell,
  fly,
  footprintOf,
  ownMotions,
  ownMotionWords,
  panicMap,
  SITUATION_IDS,
  SITUATIONS,
  situationOf,
  storyWords,
  type Draw,
  type Flown,
  type Landing,
  type PanicMap,
  type Scenario,
  type SituationId,
} from '../core/motion';
import type { Setup } from '../core/setup';
import { hasPanic } from '../core/recovery';
import { proofOf } from '../core/verify';

/** A flight as it is shown, with its story. */
export interface ShownFlight {
  flown: Flown;
  story: string;
  well: boolean;
}

export type FlightAnswer = { ok: true; flight: ShownFlight } | { ok: false; reason: string };

/** How a usual situation goes with a Setup. */
export interface SituationAnswer {
  id: SituationId;
  words: string;
  story: string;
  well: boolean;
}

export type Overview =
  { ok: true; situations: SituationAnswer[]; own: string[] } | { ok: false; reason: string };

/** Whether a situation says something about a model that nobody steers. */
function isUsual(setup: Setup, id: SituationId): boolean {
  if (id === 'stick') return false;
  if (id === 'inverted') return hasPanic(setup);
  if (id === 'launch') return setup.intents.program.launch !== undefined;
  return true;
}

/** Work that takes a while of its own: one turn of the event loop, so that a next question can end it. */
const breathe = () => new Promise<void>((resolve) => setTimeout(resolve, 0));

/** Flights, away from the page. */
export function createFlights() {
  return {
    /** One scenario with one of the models it may be. */
    flight(setup: Setup, scenario: Scenario, draw: Draw): FlightAnswer {
      const outcome = fly(setup, scenario, draw);
      if (!outcome.ok) return outcome;
      const { flown } = outcome;
      return {
        ok: true,
        flight: { flown, story: storyWords(flown), well: endedWell(flown) },
      };
    },
    /** Every usual situation, nobody touching anything, and how the model moves by itself. */
    async overview(setup: Setup, heard: () => void): Promise<Overview> {
      const situations: SituationAnswer[] = [];
      for (const id of SITUATION_IDS) {
        if (!isUsual(setup, id)) continue;
        const { words } = SITUATIONS[id];
        const outcome = fly(setup, situationOf(setup, id));
        if (!outcome.ok) return outcome;
        heard();
        await breathe();
        situations.push({
          id,
          words,
          story: storyWords(outcome.flown),
          well: endedWell(outcome.flown),
        });
      }
      return { ok: true, situations, own: ownMotionWords(ownMotions(setup)) };
    },
    /** Where it comes down without a signal, told as far as it is. */
    async footprint(setup: Setup, draws: number, told: (landings: Landing[]) => void) {
      let last: Landing[] = [];
      for (const landings of footprintOf(setup, draws)) {
        last = landings;
        told(landings);
        await breathe();
      }
      return last;
    },
    /** The panic map, told as far as it is; undefined where nothing calls panic. */
    async panic(
      setup: Setup,
      draws: number,
      told: (map: PanicMap) => void,
    ): Promise<PanicMap | undefined> {
      const proof = proofOf(setup);
      if (!proof.panic) return undefined;
      let last: PanicMap | undefined;
      for (const map of panicMap(setup, proof, draws)) {
        last = map;
        told(map);
        await breathe();
      }
      return last;
    },
  };
}

export type Flights = ReturnType<typeof createFlights>;
