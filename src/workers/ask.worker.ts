import { expose } from 'comlink';
import { ask } from './ask';

/** Off the main thread: the first question compiles some hundred units. */
const asker = { ask };

export type AskWorker = typeof asker;

expose(asker);
