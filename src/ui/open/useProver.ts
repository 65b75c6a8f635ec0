import type { Remote } from 'comlink';
import { useEffect, useState } from 'react';
import type { Prover } from '@/workers/proof.worker';
import { proverLine } from './proverLine';

/** What was asked of the prover: its answer, or in words why there is none. */
export type Asked<T> = { answer: T } | { failed: string };

/**
 * Asks the prover something beside the verdict, in a worker of its own.
 * @param ask stable between renders; undefined where there is nothing to ask
 * @returns undefined while it is worked out
 */
export function useProver<T>(
  ask: ((prover: Remote<Prover>) => Promise<T>) | undefined,
): Asked<T> | undefined {
  const [known, setKnown] = useState<{ of: unknown; is: Asked<T> }>();
  useEffect(() => {
    if (!ask) return undefined;
    const line = proverLine();
    const cancel = line.ask(
      ask,
      (answer) => setKnown({ of: ask, is: { answer } }),
      (failed) => setKnown({ of: ask, is: { failed } }),
    );
    return () => {
      cancel();
      line.close();
    };
  }, [ask]);
  return known?.of === ask ? known?.is : undefined;
}
