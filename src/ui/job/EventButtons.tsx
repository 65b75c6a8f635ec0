'use client';

import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { toast } from 'sonner';
import { EVENTS, type PhysicalEvent } from '@/core/logbook';
import { useModel } from '../frame/modelStore';

/** Something happened to the model: two taps, and what depends on it is looked at again. */
export function EventButtons() {
  const happened = useModel((s) => s.happened);
  const [event, setEvent] = useState<PhysicalEvent>();
  const [note, setNote] = useState('');
  const keep = async () => {
    if (event && (await happened(event.id, event.title, note.trim())))
      toast.success(`${event.title}: written down. What depends on it is to be looked at again.`);
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
            {e.title}
          </button>
        ))}
      </div>
      <Dialog.Root open={event !== undefined} onOpenChange={() => setEvent(undefined)}>
        <Dialog.Portal>
          <Dialog.Overlay className="fixed inset-0 z-40 bg-black/50" />
          <Dialog.Content
            aria-describedby={undefined}
            className="card fixed top-1/2 left-1/2 z-50 w-[min(28rem,94vw)] -translate-x-1/2 -translate-y-1/2"
          >
            <Dialog.Title className="text-xl font-bold">{event?.title}</Dialog.Title>
            <label className="mt-2 block text-sm font-semibold">
              What about it, if anything
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
              <Dialog.Close className="btn">It did not happen</Dialog.Close>
            </div>
          </Dialog.Content>
        </Dialog.Portal>
      </Dialog.Root>
    </section>
  );
}
