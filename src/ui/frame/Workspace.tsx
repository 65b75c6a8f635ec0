'use client';

import dynamic from 'next/dynamic';
import { useEffect, useRef } from 'react';
import { isDone } from '@/core/logbook';
import { isWhole, type StationId } from '@/core/procedure';
import type { Theme } from '../theme/themes';
import { RigDock } from '../dock/RigDock';
import { RigProvider } from '../live/rigStore';
import { CarryOn } from './CarryOn';
import { Deleted } from './Deleted';
import { FindProvider } from './Find';
import { FrameKeys } from './FrameKeys';
import { Gate } from '../open/Gate';
import { Head } from './Head';
import { useJob } from '../open/job';
import { LastChange } from './LastChange';
import { LeaveGuard } from './LeaveGuard';
import { useModel } from '../open/modelStore';
import { NextUp } from './NextUp';
import { SaveState } from './SaveState';
import { StationTitle } from './StationTitle';
import { UnkeptAnswers } from './UnkeptAnswers';
import { VerdictFailed } from '../open/verdict';
import { useHere } from '../open/useHere';
import { WayRail } from './Way';

// Both look at the page as it stands: the server cannot make them.
const TermsHere = dynamic(() => import('../glossary/TermsHere').then((m) => m.TermsHere), {
  ssr: false,
});
const Tour = dynamic(() => import('./Tour').then((m) => m.Tour), { ssr: false });

/** Whoever comes to another station stands in its work: the next Tab is the first thing there. */
function useFocusOnArrival(here: StationId | undefined) {
  const came = useRef<StationId | undefined>(undefined);
  useEffect(() => {
    const [loaded] = performance.getEntriesByType('navigation');
    // A page that was loaded as a whole begins where every page begins: at the skip link.
    const first = came.current === undefined && loaded?.name === location.href;
    if (came.current !== here && !first) {
      const main = document.getElementById('main');
      main?.focus({ preventScroll: true });
      // What must be true of the bench stands first: nobody may arrive scrolled past it.
      if (main) main.scrollTop = 0;
    }
    came.current = here;
  }, [here]);
}

/** One workspace: the way, the work, and the rig alive beside it, whatever station is open. */
export function Workspace({ theme, children }: { theme: Theme; children: React.ReactNode }) {
  const here = useHere();
  const setup = useModel((s) => s.setup);
  const full = isWhole(here);
  const { way } = useJob();
  const open = !isDone(way.flatMap((p) => p.places).find((p) => p.id === here)?.status);
  const blind = (here === 'sticks' || here === 'corrections') && open;
  useFocusOnArrival(here);
  return (
    <RigProvider setup={setup}>
      <FindProvider>
        <div className="flex min-h-dvh flex-col lg:h-dvh lg:overflow-hidden print:block print:h-auto print:overflow-visible">
          <Head theme={theme} />
          <div className="flex min-h-0 flex-1">
            <WayRail here={here} />
            <main
              id="main"
              tabIndex={-1}
              className="@container relative min-w-0 flex-1 outline-none px-4 pt-3 pb-24 lg:overflow-y-auto lg:px-6 lg:pb-6"
            >
              <SaveState />
              <Deleted />
              <UnkeptAnswers />
              <VerdictFailed />
              <LeaveGuard />
              <StationTitle here={here} />
              <LastChange />
              <Gate here={here}>{children}</Gate>
              <CarryOn here={here} />
              <NextUp here={here} />
            </main>
            {!full && <RigDock blind={blind} />}
          </div>
        </div>
        <FrameKeys here={here} />
        <TermsHere id="main" />
        <Tour />
      </FindProvider>
    </RigProvider>
  );
}
