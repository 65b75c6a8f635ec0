'use client';

import type { Remote } from 'comlink';
import { useMemo } from 'react';
import type { Settling, Undecided } from '@/core/interrogate';
import type { Setup } from '@/core/setup';
import { settle } from '@/workers/ask';
import type { AskWorker } from '@/workers/ask.worker';
import { useAsker } from './useAsker';

interface Question {
  setup: Setup;
  undecided: readonly Undecided[];
}

const call = (asker: Remote<AskWorker>, { setup, undecided }: Question) =>
  asker.settle(setup, undecided);
const here = ({ setup, undecided }: Question) => settle(setup, undecided);

/** The experiment that settles each fact, in their order; null where none does. Undefined until that is known. */
export function useSettling(
  setup: Setup,
  undecided: readonly Undecided[],
): readonly (Settling | null)[] | undefined {
  const question = useMemo(
    () => (undecided.length > 0 ? { setup, undecided } : undefined),
    [setup, undecided],
  );
  const { answer, fresh } = useAsker(question, call, here);
  return fresh ? answer : undefined;
}
