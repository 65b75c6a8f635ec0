import type { Prover } from '@/core/verdict';
import { WorkerLine } from './workerLine';

/** A proof tells how far it is many times a second; the rules after it take a moment. */
const SILENCE_MS = 10_000;

/** A connection to a worker that proves programs, which a page cannot do itself. */
export const proverLine = () =>
  new WorkerLine<Prover>(
    () => new Worker(new URL('../../workers/proof.worker.ts', import.meta.url), { type: 'module' }),
    SILENCE_MS,
  );
