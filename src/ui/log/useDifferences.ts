'use client';

import { useEffect, useState } from 'react';
import type { Difference } from '@/core/compare';
import { useModel } from '../open/modelStore';
import { reasonsOf, send } from '../open/send';

export interface Differences {
  differences: Difference[];
  problem?: string;
}

/** What differs between two versions of the open model; undefined until it is known. */
export function useDifferences(from: number, to: number): Differences | undefined {
  const id = useModel((s) => s.id);
  const [found, setFound] = useState<Differences & { key: string }>();
  const key = `${from} ${to}`;
  useEffect(() => {
    let gone = false;
    void send<{ differences: Difference[] }>(
      'GET',
      `/api/models/${id}/versions?from=${from}&to=${to}`,
      undefined,
    ).then((reply) => {
      if (gone) return;
      if (reply.ok) setFound({ key, differences: reply.value.differences });
      else setFound({ key, differences: [], problem: reasonsOf(reply.problems) });
    });
    return () => {
      gone = true;
    };
  }, [id, from, to, key]);
  return found?.key === key ? found : undefined;
}
