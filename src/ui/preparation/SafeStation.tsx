'use client';

import { checklist } from '@/core/logbook';
import { useModel } from '../open/modelStore';
import { TestScript } from '../checks/TestScript';

/** Nothing can start by itself, whatever is done next. */
export function SafeStation() {
  const setup = useModel((s) => s.setup);
  const evidence = useModel((s) => s.evidence);
  return (
    <TestScript title="Before anything is powered" steps={checklist(setup, evidence, 'safe')} />
  );
}
