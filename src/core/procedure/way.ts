import { isDone, worstOf, type Status } from '../logbook';
import type { JobStep } from './job';
import { nextStep, shortestWay } from './order';
import type { Setup } from '../setup';
import { saidOf, type ProofContext, type StepId } from './step';
import { EVERYWHERE, WAY, wayTitle, type PlaceId, type StationId, type WayGroup } from './stations';
import { STEPS } from './steps';

/** Stations where something is decided rather than shown. */
const DECIDES: Partial<Record<PlaceId, Deciding>> = {
  transmitter: { title: 'Transmitter', parts: ['/transmitter'], shownBy: ['entry'] },
  unit: { title: 'Unit', parts: ['/unit'], shownBy: ['unit', 'corrections'] },
  plan: {
    title: 'Plan and wiring',
    parts: ['/program/outputs', '/installation'],
    shownBy: ['plain-model', 'sticks'],
  },
  proof: { title: 'Proof', parts: [''], shownBy: [] },
};

interface Deciding {
  title: string;
  /** The parts of the Setup that are theirs. */
  parts: readonly string[];
  /** Steps that show on the real thing that it is as it was described; until then that is assumed. */
  shownBy: readonly StepId[];
}

const stepAt = (id: string) => STEPS.filter((s) => s.station === id);

/** The one name of a station, the same on the way, in the head and on paper. */
export const stationTitle = (id: StationId, setup: Setup): string =>
  id in EVERYWHERE
    ? EVERYWHERE[id as keyof typeof EVERYWHERE]
    : (DECIDES[id as PlaceId]?.title ?? saidOf(stepAt(id)[0]!, setup).title);

/** Where the surfaces of a model are measured. */
export const surfacesAt = (setup: Setup): StationId =>
  stepAt('throws').some((s) => s.applies(setup)) ? 'throws' : 'plain-model';

/** A station on the way of one model, and where it stands. */
export interface Place {
  id: PlaceId;
  title: string;
  /** Undefined while the program is being proved. */
  status: Status | undefined;
  /** Things proven there, of all there are; absent where something is decided. */
  done: number;
  of: number;
  /** Why it must be checked again. */
  reasons: string[];
}

export interface WayPart {
  group: WayGroup;
  title: string;
  places: Place[];
}

/**
 * The way of this model: every station that applies, with its status. A station where something is
 * decided stands as the findings about its part of the Setup say.
 * @param job undefined while nothing is proved: then nothing is said about any station
 */
export function wayOf({ setup, findings }: ProofContext, job?: readonly JobStep[]): WayPart[] {
  const isShown = ({ shownBy }: Deciding): boolean =>
    shownBy.every((id) => {
      const own = job?.find((j) => j.step.id === id);
      return own === undefined ? job !== undefined : isDone(own.status);
    });
  const placeOf = (id: PlaceId): Place | undefined => {
    const title = stationTitle(id, setup);
    const decides = DECIDES[id];
    if (decides)
      return {
        id,
        title,
        status:
          findings &&
          worstOf([
            isShown(decides) ? 'proven' : 'assumed',
            ...findings
              .filter((f) => f.severity !== 'note')
              .filter((f) => decides.parts.some((p) => f.where.startsWith(p)))
              .map((f) => f.severity as Status),
          ]),
        done: 0,
        of: 0,
        reasons: [],
      };
    if (!job)
      return stepAt(id).some((s) => s.applies(setup))
        ? { id, title, status: undefined, done: 0, of: 0, reasons: [] }
        : undefined;
    const steps = job.filter((j) => j.step.station === id);
    if (steps.length === 0) return undefined;
    return {
      id,
      title,
      status: worstOf(steps.map((j) => j.status)),
      done: steps.reduce((n, j) => n + j.done, 0),
      of: steps.reduce((n, j) => n + j.proofs.length, 0),
      reasons: [...new Set(steps.flatMap((j) => j.reasons))],
    };
  };
  return (Object.keys(WAY) as WayGroup[])
    .map((group) => ({
      group,
      title: wayTitle(group, setup.airframe),
      places: WAY[group].flatMap((id) => placeOf(id) ?? []),
    }))
    .filter((part) => part.places.length > 0);
}

/**
 * What comes next at the end of a station: the rest of what can be done without changing the bench,
 * then the shortest way on. Undefined when nothing is left.
 * @param here the station in hand
 */
export function nextFrom(
  job: readonly JobStep[],
  here: StationId | undefined,
): JobStep | undefined {
  const now = job.find((j) => j.step.station === here)?.step.session;
  const next = nextStep(job);
  if (next?.status === 'stop') return next;
  return shortestWay(job, now)
    .flatMap((s) => s.steps)
    .find((j) => j.step.station !== here);
}
