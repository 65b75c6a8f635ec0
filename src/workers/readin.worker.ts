import { expose } from 'comlink';
import { readIn } from './readin';

/** Off the main thread: what several programs may still give is looked for as long as a second. */
const reader = { readIn };

export type ReadInWorker = typeof reader;

expose(reader);
