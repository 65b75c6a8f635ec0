'use client';

import { useMemo, useState } from 'react';
import { toast } from '../parts/toast';
import { EVENTS, eventTitle, type PhysicalEvent } from '@/core/logbook';
import { useModel } from '../open/modelStore';
import type { Of } from '../open/askProver';
import { useProver, type Asked } from '../open/useProver';
import { Over, OverClose } from '../parts/Over';
import { Section } from '../parts/Section';

function saysOf(undone: Asked<Record<string, string[]>> | undefined, event: string): string {
  if (undone === undefined) return '…';
  if ('failed' in undone) return `What depends on it could not be worked out: ${undone.failed}`;
  const steps = undone.answer[event] ?? [];
  return steps.length > 0
    ? `Check again: ${steps.join(', ')}`
    : 'Nothing checked so far depends on it';
}

/** Something happened to the model: what it would undo, and two taps to write it down. */
export function Events() {
  const happened = useModel((s) => s.happened);
  const setup = useModel((s) => s.setup);
  const titleOf = (e: PhysicalEvent) => eventTitle(e, setup.airframe);
  const evidence = useModel((s) => s.evidence);
  const undone = useProver(
    'undoneByEvents',
    useMemo((): Of<'undoneByEvents'> => [setup, evidence], [setup, evidence]),
  );
  const [event, setEvent] = useState<PhysicalEvent>();
  const [note, setNote] = useState('');
  const keep = async () => {
    if (event && (await happened(event.id, titleOf(event), note.trim())))
      toast.success(`${titleOf(event)}: written down. Check again what depends on it.`);
    setEvent(undefined);
    setNote('');
  };
  return (
    <Section title="Something happened">
      <ul className="mt-1 divide-y divide-(--card-edge)">
        {EVENTS.map((e) => (
          <li key={e.id} className="flex min-h-12 flex-wrap items-center gap-x-4 py-1">
            <button
              type="button"
              className="btn w-64 justify-start text-left max-sm:w-full"
              onClick={() => setEvent(e)}
            >
              {titleOf(e)}
            </button>
            <span className="text-soft min-w-0 flex-1 basis-48 text-sm">
              {saysOf(undone, e.id)}
            </span>
          </li>
        ))}
      </ul>
      <Over
        open={event !== undefined}
        onClose={() => setEvent(undefined)}
        title={event ? titleOf(event) : ''}
      >
        <label className="mt-2 block text-sm font-semibold">
          Details, if you like
          <textarea
            className="field mt-1 h-24 font-normal"
            maxLength={1000}
            value={note}
            onChange={(e) => setNote(e.target.value)}
          />
        </label>
        <div className="mt-3 flex gap-2">
          <button type="button" className="btn btn-main" onClick={keep}>
            Write it down
          </button>
          <OverClose>Cancel</OverClose>
        </div>
      </Over>
    </Section>
  );
}
