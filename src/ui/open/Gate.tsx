'use client';

import { createContext, useContext } from 'react';
import { STEPS, type StationId } from '@/core/procedure';
import { useBench } from './useBench';

const GateContext = createContext(false);

/** Whether what is below waits for something to be said of the bench: no key answers it either. */
export const useGateOpen = (): boolean => useContext(GateContext);

/** The work of a station; it can be read, and not be answered, while its gate is open. */
export function Gate({
  here,
  children,
}: {
  here: StationId | undefined;
  children: React.ReactNode;
}) {
  const { open } = useBench();
  const step = STEPS.find((s) => s.station === here);
  const waits = step !== undefined && open(step).length > 0;
  return (
    <GateContext value={waits}>
      <div inert={waits} className={waits ? 'opacity-50' : ''} data-gate={waits ? 'open' : 'shut'}>
        {children}
      </div>
    </GateContext>
  );
}
