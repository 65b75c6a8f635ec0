'use client';

import { useCallback, useSyncExternalStore } from 'react';
import type { SheetStep } from '@/core/sheets';

const listeners = new Set<() => void>();
const nothing = '{}';

const read = (key: string): string => {
  try {
    return localStorage.getItem(key) ?? nothing;
  } catch {
    return nothing;
  }
};

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
  const text = useSyncExternalStore(
    subscribe,
    () => read(key),
    () => nothing,
  );
  const ticks = JSON.parse(text) as Record<string, string>;
  return {
    has: (step: SheetStep) => ticks[step.id] === step.value,
    set(step: SheetStep, on: boolean) {
      const { [step.id]: _, ...others } = ticks;
      try {
        localStorage.setItem(
          key,
          JSON.stringify(on ? { ...others, [step.id]: step.value } : others),
        );
      } catch {
        // A browser that keeps nothing still shows the sheet; only the ticks are lost.
      }
      listeners.forEach((l) => l());
    },
  };
}
