'use client';

import type { Remote } from 'comlink';
import { useMemo } from 'react';
import type { Told } from '@/core/interrogate';
import type { Setup } from '@/core/setup';
import { ask, type AskState } from '@/workers/ask';
import type { AskWorker } from '@/workers/ask.worker';
import { useAsker } from './useAsker';

interface Question {
  setup: Setup;
  told: readonly Told[];
  /** A fact to ask about first, by its id. */
  first: string | undefined;
}

const call = (asker: Remote<AskWorker>, { setup, told, first }: Question) =>
  asker.ask(setup, told, first);
const here = ({ setup, told, first }: Question) => ask(setup, told, first);

/** What to try next and what is known. What was known before stays while the next is worked out. */
export function useAsking(
  setup: Setup,
  told: readonly Told[],
  first: string | undefined,
): { state: AskState | undefined; fresh: boolean } {
  const question = useMemo(() => ({ setup, told, first }), [setup, told, first]);
  const { answer, fresh } = useAsker(question, call, here);
  return { state: answer, fresh };
}
