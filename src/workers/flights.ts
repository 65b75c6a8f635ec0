import '../core/verify/prover';
import {
  endedWell,
  fly,
  footprintOf,
  launchesOf,
  levelHands,
  levelOffBy,
  ownMotions,
  ownMotionWords,
  panicMap,
  storyWords,
  usualSituations,
  type Draw,
  type Drift,
  type Flown,
  type Landing,
  type LevelOff,
  type LostIn,
  type PanicMap,
  type Scenario,
  type SituationId,
  type Thrown,
} from '../core/motion';
import type { Setup } from '../core/setup';
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
  scenario: Scenario;
  story: string;
  well: boolean;
}

export type Overview =
  { ok: true; situations: SituationAnswer[]; own: string[] } | { ok: false; reason: string };

/** Work that takes a while of its own: one turn of the event loop, so that a next question can end it. */
const breathe = () => new Promise<void>((resolve) => setTimeout(resolve, 0));

/** Tells what there is with every turn. @returns the last of it; undefined where there was nothing */
async function tellingSoFar<T>(work: Generator<T>, told: (so: T) => void): Promise<T | undefined> {
  let last: T | undefined;
  for (const so of work) {
    last = so;
    told(so);
    await breathe();
  }
  return last;
}

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
      for (const { id, words, scenario } of usualSituations(setup, proofOf(setup))) {
        const outcome = fly(setup, scenario);
        if (!outcome.ok) return outcome;
        heard();
        await breathe();
        situations.push({
          id,
          words,
          scenario,
          story: storyWords(outcome.flown),
          well: endedWell(outcome.flown),
        });
      }
      return { ok: true, situations, own: ownMotionWords(ownMotions(setup)) };
    },
    /** Where it comes down without a signal, told as far as it is. */
    footprint: (setup: Setup, lostIn: LostIn, draws: number, told: (so: Landing[]) => void) =>
      tellingSoFar(footprintOf(setup, lostIn, draws), told),
    /** How it goes thrown by hand, told as far as it is. */
    launches: (setup: Setup, draws: number, told: (so: Thrown[]) => void) =>
      tellingSoFar(launchesOf(setup, draws), told),
    /** By how much level was captured wrong; undefined where its motion does not say, or the unit never levels. */
    async levelOff(setup: Setup, drift: Drift, draws: number, told: (so: LevelOff) => void) {
      const hands = levelHands(setup, proofOf(setup));
      return hands && tellingSoFar(levelOffBy(setup, hands, drift, draws), told);
    },
    /** The panic map, told as far as it is; undefined where nothing calls panic. */
    async panic(
      setup: Setup,
      draws: number,
      told: (map: PanicMap) => void,
    ): Promise<PanicMap | undefined> {
      const proof = proofOf(setup);
      return proof.panic ? tellingSoFar(panicMap(setup, proof, draws), told) : undefined;
    },
  };
}

export type Flights = ReturnType<typeof createFlights>;
