'use client';

import { useState } from 'react';
import { toast } from 'sonner';
import { EVENTS, eventTitle, type PhysicalEvent } from '@/core/logbook';
import { useModel } from '../open/modelStore';
import { Over, OverClose } from '../parts/Over';

/** Something happened to the model: two taps, and what depends on it is checked again. */
export function EventButtons() {
  const happened = useModel((s) => s.happened);
  const airframe = useModel((s) => s.setup.airframe);
  const titleOf = (e: PhysicalEvent) => eventTitle(e, airframe);
  const [event, setEvent] = useState<PhysicalEvent>();
  const [note, setNote] = useState('');
  const keep = async () => {
    if (event && (await happened(event.id, titleOf(event), note.trim())))
      toast.success(`${titleOf(event)}: written down. Check again what depends on it.`);
    setEvent(undefined);
    setNote('');
  };
  return (
    <section className="card" aria-labelledby="events-title">
      <h2 id="events-title" className="text-lg font-bold">
        Something happened
      </h2>
      <div className="mt-2 flex flex-wrap gap-2">
        {EVENTS.map((e) => (
          <button key={e.id} type="button" className="btn" onClick={() => setEvent(e)}>
            {titleOf(e)}
          </button>
        ))}
      </div>
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
    </section>
  );
}
