'use client';

import { useState } from 'react';
import { putStepNote, stepNote } from '@/core/setup';
import { TextField } from '../fields/TextField';
import { prefixed } from '../open/prefixed';
import { useModel } from '../open/modelStore';

/** What the person wants to be reminded of at a step of this unit; it goes with the unit to the hangar. */
export function StepNote({ step }: { step: string }) {
  const unit = useModel((s) => s.setup.unit);
  const edit = useModel((s) => s.edit);
  const [open, setOpen] = useState(false);
  const now = stepNote(unit, step) ?? '';
  const keep = (text: string) => {
    setOpen(false);
    return edit(prefixed('/unit', putStepNote(unit, step, text)), 'A note to this step')[0]?.reason;
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
      {now || 'Add a note'}
    </button>
  );
}
