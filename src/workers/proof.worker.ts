import { expose } from 'comlink';
import { PROVER } from '../core/verdict';

/** Off the main thread, so that a proof never stands in the way of the next keystroke. */
expose(PROVER);
