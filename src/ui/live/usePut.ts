'use client';

import { useEffect } from 'react';
import type { BenchState } from '@/core/script';
import { useRig } from './rigStore';

/**
 * The rig stands as the person is to put transmitter and model, for as long as that is on the page;
 * then as it stood before. @param state undefined leaves it alone; the same one again changes nothing
 */
export function usePut(state: BenchState | undefined): void {
  const put = useRig((s) => s.put);
  const putBack = useRig((s) => s.putBack);
  useEffect(() => {
    if (state) put(state);
  }, [put, state]);
  useEffect(() => putBack, [putBack]);
}
