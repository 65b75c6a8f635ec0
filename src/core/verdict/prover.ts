import { killedBy, undoneByEvents } from '../procedure';
import { verdictOf } from './verdict';

/**
 * What a page asks that needs whole proofs, each of a Setup and more. The server answers it, or a worker of the
 * page where the server does not; what goes in and out is plain JSON.
 */
export const PROVER = {
  verdict: verdictOf,
  killedBy,
  undoneByEvents,
};

export type Prover = typeof PROVER;
export type ProverQuestion = keyof Prover;
