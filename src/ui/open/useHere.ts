'use client';

import { usePathname } from 'next/navigation';
import { STATION_IDS, type StationId } from '@/core/procedure';

/** The station of the page that is open. */
export function useHere(): StationId | undefined {
  const name = usePathname().split('/')[3];
  return STATION_IDS.find((s) => s === name);
}
