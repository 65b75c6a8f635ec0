'use client';

import { useState } from 'react';
import { difference } from '@/core/patch';
import { refit, type Refit } from '@/core/plan';
import { useModel } from '../open/modelStore';

/** Changes what the model is made of, planned through to channels and plugs; keeps why it was refused. */
export function useRefit() {
  const setup = useModel((s) => s.setup);
  const edit = useModel((s) => s.edit);
  const [refused, setRefused] = useState<readonly string[]>([]);
  const take = (change: Refit, label: string) => {
    const next = refit(setup, change);
    setRefused(
      next.ok ? edit(difference(setup, next.setup), label).map((p) => p.reason) : next.reasons,
    );
  };
  return { take, refused };
}
