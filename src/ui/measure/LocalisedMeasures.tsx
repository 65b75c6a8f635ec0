'use client';

import { restated } from '@/core/measure';
import { useSystem } from './useSystem';

/** A sentence with its measures in the system of whoever reads it. */
export function LocalisedMeasures({ children }: { children: string }) {
  const [system] = useSystem();
  return restated(children, system);
}
