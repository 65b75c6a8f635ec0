'use client';

import { useState } from 'react';
import { TextField } from '../fields/TextField';
import { useModel } from './modelStore';

/** What the person wants to be reminded of at a step of this unit; it goes with the unit to the hangar. */
export function StepNote({ step }: { step: string }) {
  const notes = useModel((s) => s.setup.unit.notes);
  const edit = useModel((s) => s.edit);
  const [open, setOpen] = useState(false);
  const known = notes ?? [];
  const now = known.find((n) => n.step === step)?.note ?? '';
  const keep = (text: string) => {
    setOpen(false);
    const note = text.trim();
    if (note === now) return undefined;
    const others = known.filter((n) => n.step !== step);
    const value = note ? [...others, { step, note }] : others;
    return edit(
      value.length > 0
        ? [{ op: 'add', path: '/unit/notes', value }]
        : [{ op: 'remove', path: '/unit/notes' }],
      'A note to this step',
    )[0]?.reason;
  };
  if (open)
    return (
      <div className="max-w-prose">
        <TextField long label="Your note to this step" value={now} onCommit={keep} />
      </div>
    );
  return (
    <button
      type="button"
      className={
        now ? 'border-accent block border-l-4 pl-2 text-left' : 'text-soft text-sm underline'
      }
      onClick={() => setOpen(true)}
    >
      {now || 'Note something for next time'}
    </button>
  );
}
