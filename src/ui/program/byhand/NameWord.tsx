'use client';

import { useId } from 'react';
import { useFieldDraft } from '../../fields/useFieldDraft';

/** A name in a sentence, written over where it stands. */
export function NameWord({
  label,
  value,
  onCommit,
}: {
  label: string;
  value: string;
  onCommit: (value: string) => void;
}) {
  const id = useId();
  const [text, setText, mark] = useFieldDraft(id, label, value);
  const shown = text ?? value;
  const commit = () => {
    const next = shown.trim();
    if (next !== '' && next !== value) onCommit(next);
    setText(undefined);
  };
  return (
    <input
      {...mark}
      aria-label={label}
      className="word field-sizing-content max-w-full bg-transparent font-bold"
      size={Math.max(4, shown.length)}
      maxLength={80}
      value={shown}
      onChange={(e) => setText(e.target.value)}
      onBlur={() => text !== undefined && commit()}
      onKeyDown={(e) => {
        if (e.key === 'Enter') commit();
        if (e.key === 'Escape') setText(undefined);
      }}
    />
  );
}
