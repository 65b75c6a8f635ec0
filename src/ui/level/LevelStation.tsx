'use client';

import { levels } from '@/core/level';
import { checklist } from '@/core/logbook';
import { FindingsOf } from '../findings/Findings';
import { useModel } from '../open/modelStore';
import { TestScript } from '../checks/TestScript';
import { Bench } from './Bench';
import { FromFlight } from './FromFlight';
import { Limits } from './Limits';

/** What counts as level: how to lay the model for the capture, and how to correct it from flight. */
export function LevelStation() {
  const setup = useModel((s) => s.setup);
  const evidence = useModel((s) => s.evidence);
  if (!levels(setup))
    return (
      <p className="card max-w-2xl text-lg">
        This unit damps and does not level: there is no level to capture.
      </p>
    );
  return (
    <div className="grid gap-4 @4xl:grid-cols-2">
      <div className="flex min-w-0 flex-col gap-4">
        <Bench />
        <FindingsOf step="level" />
        <TestScript title="Capture it" steps={checklist(setup, evidence, 'level')} />
      </div>
      <div className="flex flex-col gap-4">
        <FromFlight />
        <Limits />
      </div>
    </div>
  );
}
