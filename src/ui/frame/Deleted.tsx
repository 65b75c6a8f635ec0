'use client';

import { useState } from 'react';
import { useModel } from '../open/modelStore';
import { tellChanged } from '../open/openModels';
import { reasonsOf, send } from '../open/send';

/** A model that was deleted, here or in another window, says so wherever it is open, and how it comes back. */
export function Deleted() {
  const kept = useModel((s) => s.kept);
  const id = useModel((s) => s.id);
  const [refused, setRefused] = useState<string>();
  if (kept !== 'off') return null;
  const putBack = async () => {
    const reply = await send('PUT', `/api/models/${id}/place`, { kept: 'shelf' });
    setRefused(reply.ok ? undefined : reasonsOf(reply.problems));
    if (reply.ok) tellChanged(id);
  };
  return (
    <section
      role="alert"
      className="card border-stop mb-4 flex flex-wrap items-center gap-3"
      aria-label="This model is deleted"
    >
      <p className="min-w-60 flex-1">
        <strong>This model is deleted.</strong> It was deleted here or in another window. Your
        changes are still saved. The shelf shows how long it can be restored.
        {refused && <span className="text-stop"> Not put back: {refused}.</span>}
      </p>
      <button type="button" className="btn btn-main" onClick={() => void putBack()}>
        Restore it
      </button>
    </section>
  );
}
