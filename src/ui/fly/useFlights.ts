import { proxy } from 'comlink';
import { useCallback } from 'react';
import type {
  Draw,
  Drift,
  Landing,
  LevelOff,
  LostIn,
  PanicMap,
  Scenario,
  Thrown,
} from '@/core/motion';
import type { Setup } from '@/core/setup';
import type { FlightAnswer, Flights, Overview } from '@/workers/flights';
import { useLine, useProgress } from '../open/useLine';
import type { Remote } from 'comlink';
import { flightLine } from './flightLine';

/** How every usual situation goes; asked again after every edit. */
export function useOverview(setup: Setup) {
  const ask = useCallback(
    async (
      flights: Remote<Flights>,
      _so: (known: Overview) => void,
      heard: () => void,
    ): Promise<Overview> => flights.overview(setup, proxy(heard)),
    [setup],
  );
  return useLine(flightLine, ask);
}

/** What is flown: which Setup, in which scenario, as which of the models it may be. */
export interface Wanted {
  setup: Setup;
  scenario: Scenario;
  draw: Draw;
}

/** One flight. @param wanted stable between renders */
export function useFlight(wanted: Wanted | undefined) {
  const ask = useCallback(
    async (flights: Remote<Flights>): Promise<FlightAnswer> =>
      flights.flight(wanted!.setup, wanted!.scenario, wanted!.draw),
    [wanted],
  );
  return useLine(flightLine, wanted && ask);
}

/** Models it may be that a panic map tries. */
export const DRAWS = 20;

/** The panic map as far as it is; ended by the next edit. @param asked whether it is wanted */
export function usePanicMap(setup: Setup, asked: boolean) {
  const ask = useCallback(
    (flights: Remote<Flights>, so: (map: PanicMap | undefined) => void) =>
      flights.panic(setup, DRAWS, proxy(so)),
    [setup],
  );
  return useProgress(flightLine, asked ? ask : undefined);
}

/** Models it may be that are followed without a signal. */
export const LOST = 500;

/** Where it comes down without a signal, as far as it is; ended by the next edit. @param lostIn stable between renders */
export function useFootprint(setup: Setup, lostIn: LostIn | undefined) {
  const ask = useCallback(
    (flights: Remote<Flights>, so: (landings: Landing[] | undefined) => void) =>
      flights.footprint(setup, lostIn!, LOST, proxy(so)),
    [setup, lostIn],
  );
  return useProgress(flightLine, lostIn && ask);
}

/** How it goes thrown by hand, as far as it is. @param asked whether it is wanted */
export function useLaunches(setup: Setup, asked: boolean) {
  const ask = useCallback(
    (flights: Remote<Flights>, so: (thrown: Thrown[] | undefined) => void) =>
      flights.launches(setup, DRAWS, proxy(so)),
    [setup],
  );
  return useProgress(flightLine, asked ? ask : undefined);
}

/** By how much level was captured wrong, as far as it is known. @param drift stable between renders */
export function useLevelOff(setup: Setup, drift: Drift | undefined) {
  const ask = useCallback(
    (flights: Remote<Flights>, so: (off: LevelOff | undefined) => void) =>
      flights.levelOff(setup, drift!, DRAWS, proxy(so)),
    [setup, drift],
  );
  return useProgress(flightLine, drift && ask);
}
