'use client';

import { Plus } from 'lucide-react';
import type { PatchOperation } from '@/core/patch';
import { useModel } from '../../open/modelStore';

export interface Addition {
  words: string;
  patch: readonly PatchOperation[];
}

/** A list of the program under its heading, with what can be added to it. */
export function Part({
  id,
  title,
  says,
  aside,
  add,
  children,
}: {
  id: string;
  title: string;
  says?: string;
  /** Beside the heading. */
  aside?: React.ReactNode;
  add: readonly Addition[];
  children: React.ReactNode;
}) {
  const edit = useModel((s) => s.edit);
  return (
    <section aria-labelledby={id}>
      <h3 id={id} className="flex items-center gap-3 font-bold">
        {title}
        {aside}
      </h3>
      {says && <p className="text-soft text-sm">{says}</p>}
      <ol>{children}</ol>
      <p className="flex flex-wrap gap-x-4">
        {add.map(({ words, patch }) => (
          <button
            key={words}
            type="button"
            className="text-accent flex min-h-8 items-center gap-1 text-sm font-semibold hover:underline pointer-coarse:min-h-11"
            onClick={() => void edit(patch, `${title}: ${words.toLowerCase()}`.slice(0, 80))}
          >
            <Plus size={14} aria-hidden />
            {words}
            <span className="sr-only">, {title}</span>
          </button>
        ))}
      </p>
    </section>
  );
}
