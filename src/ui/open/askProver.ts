import { proxy } from 'comlink';
import type { Prover, ProverQuestion } from '@/core/verdict';
import { send } from './send';
import type { WorkerLine } from './workerLine';

/** What a question is about: what the prover takes, without what only a worker can be told. */
export type Of<Q extends ProverQuestion> = Q extends 'verdict'
  ? [setup: Parameters<Prover['verdict']>[0]]
  : Parameters<Prover[Q]>;

/** A server that has no answer by then is left to itself. */
const PATIENCE_MS = 10_000;

/**
 * Asks something that needs a whole proof. The server is asked first: it has proved programs before and is
 * many times quicker than a page that has just begun, most of all on a phone. Where it does not answer, out of
 * reach or with a program too large for it, a worker of the page works it out.
 * @param answered receives the answer @param failed receives the reason there is none, in words
 * @param heard told how many states have been visited, where the worker works it out
 * @returns cancels the question: none of them is called afterwards
 */
export function askProver<Q extends ProverQuestion>(
  line: WorkerLine<Prover>,
  question: Q,
  of: Of<Q>,
  answered: (answer: ReturnType<Prover[Q]>) => void,
  failed: (words: string) => void,
  heard: (states: number) => void = () => undefined,
): () => void {
  const waiting = new AbortController();
  let cancelled = false;
  let cancel = () => waiting.abort();
  const late = setTimeout(cancel, PATIENCE_MS);
  const ask = send<ReturnType<Prover[Q]>>(
    'POST',
    '/api/prove',
    { question, of },
    { signal: waiting.signal },
  );
  void ask.then((reply) => {
    clearTimeout(late);
    if (cancelled) return;
    if (reply.ok) return answered(reply.value);
    cancel = line.ask(
      (prover, sign) => {
        const more = proxy((states: number) => {
          sign();
          heard(states);
        });
        const call = prover[question] as unknown as (
          ...of: unknown[]
        ) => Promise<ReturnType<Prover[Q]>>;
        return question === 'verdict' ? call(...of, more) : call(...of);
      },
      answered,
      failed,
    );
  });
  return () => {
    cancelled = true;
    clearTimeout(late);
    cancel();
  };
}
