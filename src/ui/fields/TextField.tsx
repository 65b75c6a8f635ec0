'use client';

import { useId, useState } from 'react';
import { useFieldDraft } from './useFieldDraft';

/** A line or a paragraph of text; committed on Enter (a line) and on leaving, given up on Escape. */
export function TextField({
  label,
  value,
  long = false,
  onCommit,
}: {
  label: string;
  value: string;
  long?: boolean;
  /** @returns what is wrong with it, or nothing */
  onCommit: (value: string) => string | undefined;
}) {
  const id = useId();
  const [text, setText, mark, forget] = useFieldDraft(id, label, value);
  const [problem, setProblem] = useState<string>();
  const commit = () => {
    if (text === undefined) return;
    const refused = text === value ? undefined : onCommit(text);
    setProblem(refused);
    if (refused) forget();
    else setText(undefined);
  };
  const shared = {
    ...mark,
    value: text ?? value,
    'aria-invalid': problem !== undefined,
    'aria-describedby': problem ? `${id}-problem` : undefined,
    className: 'field',
    onBlur: commit,
    onChange: (e: React.ChangeEvent<HTMLInputElement | HTMLTextAreaElement>) =>
      setText(e.target.value),
    onKeyDown: (e: React.KeyboardEvent) => {
      if (e.key === 'Enter' && !long) commit();
      if (e.key === 'Escape') {
        setText(undefined);
        setProblem(undefined);
      }
    },
  };
  return (
    <div className="flex flex-col gap-0.5">
      <label htmlFor={id} className="text-sm font-semibold">
        {label}
      </label>
      {long ? <textarea rows={3} {...shared} /> : <input {...shared} />}
      {problem && (
        <span id={`${id}-problem`} role="alert" className="text-stop text-sm">
          {problem}
        </span>
      )}
    </div>
  );
}
