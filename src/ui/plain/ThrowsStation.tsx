'use client';

import { checklist } from '@/core/logbook';
import { isThrow } from '@/core/preparation';
import { useModel } from '../open/modelStore';
import { TestScript } from '../checks/TestScript';
import { Differential } from './Differential';
import { Throws } from './Throws';

/** How far every surface goes, pulled on its drawing or measured on the model, and what is heard at the ends. */
export function ThrowsStation() {
  const setup = useModel((s) => s.setup);
  const evidence = useModel((s) => s.evidence);
  return (
    <div className="flex min-w-0 flex-col gap-4">
      <p className="text-lg">
        The unit knows your sticks: from here on only you change the throws.
      </p>
      <Throws />
      <Differential />
      <TestScript
        title="Now on the model"
        steps={checklist(setup, evidence, 'plain-model').filter((t) => isThrow(t.asked))}
      />
    </div>
  );
}
