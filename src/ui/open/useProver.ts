import { useEffect, useState } from 'react';
import type { Prover, ProverQuestion } from '@/core/verdict';
import { askProver, type Of } from './askProver';
import { proverLine } from './proverLine';
import type { Asked } from './useLine';

export type { Asked } from './useLine';

/**
 * Asks the prover something beside the verdict.
 * @param of stable between renders; undefined where there is nothing to ask
 * @returns undefined while it is worked out
 */
export function useProver<Q extends ProverQuestion>(
  question: Q,
  of: Of<Q> | undefined,
): Asked<ReturnType<Prover[Q]>> | undefined {
  const [known, setKnown] = useState<{ of: unknown; is: Asked<ReturnType<Prover[Q]>> }>();
  useEffect(() => {
    if (!of) return undefined;
    const line = proverLine();
    const cancel = askProver(
      line,
      question,
      of,
      (answer) => setKnown({ of, is: { answer } }),
      (failed) => setKnown({ of, is: { failed } }),
    );
    return () => {
      cancel();
      line.close();
    };
  }, [question, of]);
  return known?.of === of ? known?.is : undefined;
}
