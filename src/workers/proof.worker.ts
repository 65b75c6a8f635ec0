import { expose } from 'comlink';
import { killedBy, undoneByEvents } from '../core/procedure';
import { judge } from './judge';

/** Off the main thread, so that a proof never stands in the way of the next keystroke. */
const prover = { judge, killedBy, undoneByEvents };

export type Prover = typeof prover;

expose(prover);
