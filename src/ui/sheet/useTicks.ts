'use client';

import { useCallback, useMemo, useSyncExternalStore } from 'react';
import type { SheetStep } from '@/core/sheets';
import { keep, readKept } from '../open/keep';

type Ticks = Record<string, string>;

const listeners = new Set<() => void>();

/**
 * What has been ticked off in this browser. A tick belongs to the value that was typed: when the
 * value changes, the tick is gone.
 */
export function useTicks(modelId: string) {
  const key = `ticks:${modelId}`;
  const subscribe = useCallback((listener: () => void) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  }, []);
  // As text, so that equal ticks are the same answer.
  const text = useSyncExternalStore(
    subscribe,
    () => JSON.stringify(readKept<Ticks>(key, 'browser') ?? {}),
    () => '{}',
  );
  const ticks = useMemo(() => JSON.parse(text) as Ticks, [text]);
  return {
    has: (step: SheetStep) => ticks[step.id] === step.value,
    set(step: SheetStep, on: boolean) {
      const { [step.id]: _, ...others } = ticks;
      keep(key, on ? { ...others, [step.id]: step.value } : others, 'browser');
      listeners.forEach((l) => l());
    },
  };
}
