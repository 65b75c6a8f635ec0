'use client';

import { useState } from 'react';
import { difference } from '@/core/patch';
import { refit, type Refit } from '@/core/plan';
import { useModel } from './modelStore';

/** Changes what the model is made of, planned through to channels and plugs; keeps why it was refused. */
export function useRefit() {
  const setup = useModel((s) => s.setup);
  const edit = useModel((s) => s.edit);
  const [refused, setRefused] = useState<readonly string[]>([]);
  /** @returns whether it could be planned */
  const take = (change: Refit, label: string): boolean => {
    const next = refit(setup, change);
    setRefused(
      next.ok ? edit(difference(setup, next.setup), label).map((p) => p.reason) : next.reasons,
    );
    return next.ok;
  };
  return { take, refused };
}

/** Why a change of the model's parts was refused. */
export const Refusals = ({ reasons }: { reasons: readonly string[] }) =>
  reasons.map((reason) => (
    <span key={reason} role="alert" className="text-stop block font-normal">
      Not changed: {reason}
    </span>
  ));
