'use client';

import { useState } from 'react';
import type { PatchOperation } from '@/core/patch';
import type { Problem } from '@/core/setup';

/** Changes something; what is wrong with it comes back, and then nothing was changed. */
type Change = (patch: readonly PatchOperation[], label: string) => readonly Problem[];

/** Tries changes and keeps why the last one was refused. `attempt` returns that reason. */
export function useAttempt(change: Change) {
  const [refused, setRefused] = useState('');
  const attempt = (patch: readonly PatchOperation[], label: string): string | undefined => {
    const reason = change(patch, label)[0]?.reason;
    setRefused(reason ?? '');
    return reason;
  };
  return { attempt, refused };
}

/** Why a change was refused. */
export const Refused = ({ reason }: { reason: string }) =>
  reason === '' ? null : (
    <p role="alert" className="text-stop text-sm">
      Not changed: {reason}.
    </p>
  );
