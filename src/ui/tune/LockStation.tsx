'use client';

import { checklist } from '@/core/logbook';
import { useModel } from '../open/modelStore';
import { TestScript } from '../checks/TestScript';
import { Found } from './Found';

/** The gain that was found, taken off the knob. */
export function LockStation() {
  const setup = useModel((s) => s.setup);
  const evidence = useModel((s) => s.evidence);
  return (
    <div className="flex flex-col gap-4">
      <Found />
      <TestScript title="With fixed values" steps={checklist(setup, evidence, 'lock')} />
    </div>
  );
}
