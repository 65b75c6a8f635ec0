'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { withoutLeaflet } from '@/core/possible';
import type { HangarPart } from '@/server/hangar';
import { reasonsOf, send } from '../open/send';
import { previewFor } from './preview';

/** A unit asked without a model: servos on the table, plugged in as for an example. */
export function AskOnTable({ part }: { part: HangarPart }) {
  const router = useRouter();
  const [refused, setRefused] = useState('');
  const ask = async () => {
    const example = previewFor(part);
    if (!example) {
      setRefused(
        'No example model suits it as described: a plug or a channel is missing somewhere.',
      );
      return;
    }
    const name = `${part.body.name}, on the table`.slice(0, 80);
    const reply = await send<{ id: string }>(
      'POST',
      '/api/import',
      withoutLeaflet({ ...example, name }),
    );
    if (reply.ok) router.push(`/models/${reply.value.id}/ask`);
    else setRefused(reasonsOf(reply.problems));
  };
  return (
    <>
      <button type="button" className="btn" onClick={() => void ask()}>
        Ask it on the table
      </button>
      {refused && (
        <p role="alert" className="text-stop w-full text-sm">
          {refused}
        </p>
      )}
    </>
  );
}
