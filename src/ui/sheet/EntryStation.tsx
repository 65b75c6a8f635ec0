'use client';

import { useMemo } from 'react';
import { readings, checklist } from '@/core/logbook';
import { useModel } from '../open/modelStore';
import { useVerdict } from '../open/verdict';
import { TestScript } from '../checks/TestScript';
import { PoseByPose } from './PoseByPose';
import { SheetList } from './SheetList';

/** What to type, menu by menu, and the poses in which the channel monitor tells whether it is right. */
export function EntryStation() {
  const setup = useModel((s) => s.setup);
  const evidence = useModel((s) => s.evidence);
  const { proof, visiting } = useVerdict();
  // The poses come with the proof: they are worked out beside the page.
  const ready = proof !== undefined && visiting === undefined;
  const others = useMemo(
    () => (ready ? checklist(setup, evidence, 'entry') : []),
    [ready, setup, evidence],
  );
  const read = useMemo(
    () => ready && readings(setup, evidence).every((r) => r.status === 'proven'),
    [ready, setup, evidence],
  );
  return (
    <div className="flex flex-col gap-4">
      <SheetList />
      {ready ? (
        <>
          <PoseByPose />
          {others.length > 0 && (
            <TestScript title="What no pose shows" steps={others} keyed={read} />
          )}
        </>
      ) : (
        <p className="text-soft">Working out the fewest poses that tell every wrong entry …</p>
      )}
    </div>
  );
}
