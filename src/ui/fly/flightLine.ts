import type { Flights } from '@/workers/flights';
import { WorkerLine } from '../open/workerLine';

/** One flight takes a moment; a map tells how far it is many times a second, but proves the program first. */
const SILENCE_MS = 30_000;

/** A connection to a worker that flies models. */
export const flightLine = () =>
  new WorkerLine<Flights>(
    () => new Worker(new URL('../../workers/fly.worker.ts', import.meta.url), { type: 'module' }),
    SILENCE_MS,
  );
