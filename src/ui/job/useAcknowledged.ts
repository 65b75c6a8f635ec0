'use client';

import { useSyncExternalStore } from 'react';
import type { Caution } from '@/core/procedure';
import { keep, readKept } from '../frame/keep';

const KEY = 'tolvan-cautions';
const listeners = new Set<() => void>();
const read = () => readKept<string>(KEY) ?? '';

/** Cautions acknowledged in this session at the bench; tomorrow they are asked for again. */
export function useAcknowledged(): {
  has: (caution: Caution) => boolean;
  acknowledge: (caution: Caution, yes: boolean) => void;
} {
  const kept = useSyncExternalStore(
    (changed) => {
      listeners.add(changed);
      return () => listeners.delete(changed);
    },
    read,
    () => '',
  );
  const all = kept.split(' ').filter((c) => c !== '');
  return {
    has: (caution) => all.includes(caution),
    acknowledge(caution, yes) {
      const next = yes ? [...new Set([...all, caution])] : all.filter((c) => c !== caution);
      keep(KEY, next.join(' '));
      for (const changed of listeners) changed();
    },
  };
}
