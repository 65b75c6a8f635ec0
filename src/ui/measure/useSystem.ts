'use client';

import { useSyncExternalStore } from 'react';
import { SYSTEMS, type System } from '@/core/measure';
import { keep, readKept } from '../open/keep';

const KEY = 'tolvan-measures';
const listeners = new Set<() => void>();

const read = (): System => {
  const kept = readKept<string>(KEY, 'browser');
  return SYSTEMS.find((s) => s === kept) ?? 'metric';
};

/** In what measures this device shows and takes lengths, weights and speeds. */
export function useSystem(): [System, (system: System) => void] {
  const system = useSyncExternalStore(
    (changed) => {
      listeners.add(changed);
      return () => listeners.delete(changed);
    },
    read,
    (): System => 'metric',
  );
  return [
    system,
    (next) => {
      keep(KEY, next, 'browser');
      for (const changed of listeners) changed();
    },
  ];
}
