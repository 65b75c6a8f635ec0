'use client';

import { useState } from 'react';
import { changeLine } from '@/core/edit';
import type { Line } from '@/core/setup';
import { TextField } from '../../fields/TextField';
import { useModel } from '../../open/modelStore';
import { usePut } from './EntryRow';

/** Why a line is there, in the person's words; a line of a choice explains itself. */
export function NoteLine({ line, name }: { line: Line; name: string }) {
  const setup = useModel((s) => s.setup);
  const put = usePut();
  const [open, setOpen] = useState(false);
  if (line.owner) return null;
  if (!open && line.note)
    return (
      <button
        type="button"
        className="text-soft block text-left text-sm italic hover:underline"
        onClick={() => setOpen(true)}
      >
        {line.note}
      </button>
    );
  if (!open)
    return (
      <button
        type="button"
        className="text-soft text-sm hover:underline"
        aria-label={`A note to ${name}`}
        onClick={() => setOpen(true)}
      >
        note
      </button>
    );
  return (
    <TextField
      label={`Note to ${name}`}
      value={line.note ?? ''}
      onCommit={(note) => {
        setOpen(false);
        return put(
          changeLine(setup, line.id, { note: note.trim() === '' ? undefined : note.trim() }),
          'a note',
        );
      }}
    />
  );
}
