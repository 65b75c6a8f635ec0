import type { Remote } from 'comlink';
import type { Prover } from '@/workers/proof.worker';
import { proverLine } from './proverLine';
import { useLine, type Asked } from './useLine';

export type { Asked } from './useLine';

/**
 * Asks the prover something beside the verdict, in a worker of its own.
 * @param ask stable between renders; undefined where there is nothing to ask
 * @returns undefined while it is worked out
 */
export const useProver = <T>(
  ask: ((prover: Remote<Prover>) => Promise<T>) | undefined,
): Asked<T> | undefined => useLine(proverLine, ask);
