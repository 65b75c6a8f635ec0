import { expose } from 'comlink';
import { ask, settle } from './ask';

/** Off the main thread: the first question compiles some hundred units. */
const asker = { ask, settle };

export type AskWorker = typeof asker;

expose(asker);
