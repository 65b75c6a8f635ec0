'use client';

import { useState } from 'react';
import { difference } from '@/core/patch';
import { usualWishes, writeWishes } from '@/core/plan';
import type { ProgramWishes, Setup } from '@/core/setup';
import { useModel } from '../frame/modelStore';

/**
 * The wishes of the open model. A choice that can be written is written at once; one that cannot
 * stays on the screen with the reasons, and nothing is changed.
 */
export function useWishes() {
  const { setup, edit } = useModel((s) => s);
  const [pending, setPending] = useState<{ of: Setup; wishes: ProgramWishes; reasons: string[] }>();
  const [notes, setNotes] = useState<string[]>([]);
  const written = setup.intents.program;
  const open = pending?.of === setup ? pending : undefined;
  const wishes = open?.wishes ?? written ?? usualWishes(setup);

  const wish = (next: ProgramWishes, label: string) => {
    const result = writeWishes(setup, next);
    if (!result.ok) {
      setPending({ of: setup, wishes: next, reasons: result.reasons });
      return;
    }
    setPending(undefined);
    setNotes(result.notes);
    edit(difference(setup, result.setup), label.slice(0, 80));
  };
  return {
    setup,
    wishes,
    wish,
    reasons: open?.reasons ?? [],
    giveUp: () => setPending(undefined),
    notes,
    /** Whether the program there was written from wishes at all. */
    written: written !== undefined,
  };
}

export type Wishing = ReturnType<typeof useWishes>;
