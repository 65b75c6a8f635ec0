import { proxy } from 'comlink';
import { useEffect, useState } from 'react';
import type { Landing, PanicMap, Scenario } from '@/core/motion';
import type { Setup } from '@/core/setup';
import type { FlightAnswer, Overview } from '@/workers/flights';
import { flightLine } from './flightLine';

/** Something asked of the worker: its answer, or in words why there is none; undefined while it is worked out. */
export type Answered<T> = { answer: T } | { failed: string } | undefined;

/** How every usual situation goes; asked again after every edit. */
export function useOverview(setup: Setup): Answered<Overview> {
  const [known, setKnown] = useState<{ of: Setup; is: Answered<Overview> }>();
  useEffect(() => {
    const line = flightLine();
    const cancel = line.ask(
      async (remote, heard): Promise<Overview> => remote.overview(setup, proxy(heard)),
      (answer) => setKnown({ of: setup, is: { answer } }),
      (failed) => setKnown({ of: setup, is: { failed } }),
    );
    return () => {
      cancel();
      line.close();
    };
  }, [setup]);
  return known?.of === setup ? known.is : undefined;
}

/** What is flown: with which Setup, in which scenario. */
export interface Wanted {
  setup: Setup;
  scenario: Scenario;
  atS: number;
}

/** One flight. @param wanted stable between renders */
export function useFlight(wanted: Wanted | undefined): Answered<FlightAnswer> {
  const [known, setKnown] = useState<{ of: Wanted; is: Answered<FlightAnswer> }>();
  useEffect(() => {
    if (!wanted) return undefined;
    const line = flightLine();
    const cancel = line.ask(
      async (remote): Promise<FlightAnswer> =>
        remote.flight(wanted.setup, wanted.scenario, wanted.atS),
      (answer) => setKnown({ of: wanted, is: { answer } }),
      (failed) => setKnown({ of: wanted, is: { failed } }),
    );
    return () => {
      cancel();
      line.close();
    };
  }, [wanted]);
  return known?.of === wanted ? known?.is : undefined;
}

/** Models it may be that a panic map tries. */
export const DRAWS = 20;

/** The panic map as far as it is; ended by the next edit. @param asked whether it is wanted */
export function usePanicMap(setup: Setup, asked: boolean) {
  const [known, setKnown] = useState<{
    of: Setup;
    map?: PanicMap;
    failed?: string;
    done: boolean;
  }>();
  useEffect(() => {
    if (!asked) return undefined;
    const line = flightLine();
    const cancel = line.ask(
      (remote, heard) =>
        remote.panic(
          setup,
          DRAWS,
          proxy((map: PanicMap) => {
            heard();
            setKnown({ of: setup, map, done: false });
          }),
        ),
      (map) => setKnown({ of: setup, ...(map ? { map } : {}), done: true }),
      (failed) => setKnown({ of: setup, failed, done: true }),
    );
    return () => {
      cancel();
      line.close();
    };
  }, [setup, asked]);
  return known?.of === setup ? known : undefined;
}

/** Models it may be that are followed without a signal. */
export const LOST = 500;

/** Where it comes down without a signal, as far as it is; ended by the next edit. */
export function useFootprint(setup: Setup, asked: boolean) {
  const [known, setKnown] = useState<{
    of: Setup;
    landings?: Landing[];
    failed?: string;
    done: boolean;
  }>();
  useEffect(() => {
    if (!asked) return undefined;
    const line = flightLine();
    const cancel = line.ask(
      (remote, heard) =>
        remote.footprint(
          setup,
          LOST,
          proxy((landings: Landing[]) => {
            heard();
            setKnown({ of: setup, landings, done: false });
          }),
        ),
      (landings) => setKnown({ of: setup, landings, done: true }),
      (failed) => setKnown({ of: setup, failed, done: true }),
    );
    return () => {
      cancel();
      line.close();
    };
  }, [setup, asked]);
  return known?.of === setup ? known : undefined;
}
